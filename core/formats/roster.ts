import { ok } from '../base'
import type { Result } from '../base'
import { headings, parseCells } from './csv'
import type { FormatRefusal } from './refusals'

export interface RosterEntry {
  readonly line: number
  readonly name: string
  readonly signIn: string | null
  readonly groups: readonly string[]
}
export const ROSTER_FAULTS = [
  'no-name',
  'name-too-long',
  'same-twice',
  'bad-sign-in',
  'sign-in-twice',
  'too-many-groups',
] as const
export type RosterFault = (typeof ROSTER_FAULTS)[number]
export interface BadRow {
  readonly line: number
  readonly fault: RosterFault
  readonly text: string
}
export interface RosterReading {
  readonly entries: readonly RosterEntry[]
  readonly bad: readonly BadRow[]
}

/** Groups that one row may name. */
const MOST_GROUPS = 20

const NAMES = {
  name: ['name', 'learner', 'student', 'full name'],
  given: ['given name', 'first name', 'given', 'first'],
  family: ['family name', 'last name', 'surname', 'family', 'last'],
  signIn: ['sign-in', 'sign in', 'username', 'user', 'login'],
  groups: ['group', 'groups'],
}

/**
 * Reads a roster: one learner a row, with or without headings (name, or given and family name; sign-in;
 * groups parted by `;`).
 * Without headings the columns are name, sign-in, groups. Bad rows are listed with their line, never dropped.
 */
export function parseRoster(text: string): Result<RosterReading, FormatRefusal> {
  const rows = parseCells(text)
  if (!rows.ok) return rows
  const head = rows.value[0] ? headings(rows.value[0], NAMES, ['name', 'given', 'family']) : null
  const at = head ?? { name: 0, signIn: 1, groups: 2 }
  const entries: RosterEntry[] = []
  const bad: BadRow[] = []
  const names = new Set<string>()
  const signIns = new Set<string>()
  for (const { line, cells } of head ? rows.value.slice(1) : rows.value) {
    const cell = (key: string) =>
      at[key as keyof typeof at] === undefined ? '' : (cells[at[key as keyof typeof at] as number] ?? '')
    const name = (cell('name') || [cell('given'), cell('family')].filter(Boolean).join(' ')).replace(
      /\s+/g,
      ' ',
    )
    const signIn = cell('signIn').toLowerCase()
    const refuseRow = (fault: RosterFault, said: string) => bad.push({ line, fault, text: said })
    if (name === '') refuseRow('no-name', cells.join(', '))
    else if (name.length > 80) refuseRow('name-too-long', `${name.slice(0, 40)}…`)
    else if (names.has(name.toLowerCase())) refuseRow('same-twice', name)
    else if (signIn !== '' && !/^[a-z0-9._-]{2,40}$/.test(signIn)) refuseRow('bad-sign-in', signIn)
    else if (signIn !== '' && signIns.has(signIn)) refuseRow('sign-in-twice', signIn)
    else if (cell('groups').split(';').length > MOST_GROUPS) refuseRow('too-many-groups', name)
    else {
      names.add(name.toLowerCase())
      if (signIn !== '') signIns.add(signIn)
      entries.push({
        line,
        name,
        signIn: signIn || null,
        groups: cell('groups')
          .split(';')
          .map((g) => g.trim())
          .filter(Boolean),
      })
    }
  }
  return ok({ entries, bad })
}
