import { isGrade } from '../audience'
import { ok } from '../base'
import type { Result } from '../base'
import type { FormatRefusal } from './refusals'
import { readTable } from './table'

export interface RosterEntry {
  readonly line: number
  readonly name: string
  readonly signIn: string | null
  readonly groups: readonly string[]
  /** Null: not said. */
  readonly grade: number | null
}
export const ROSTER_FAULTS = [
  'no-name',
  'name-too-long',
  'same-twice',
  'bad-sign-in',
  'sign-in-twice',
  'too-many-groups',
  'bad-grade',
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

const COLUMNS = {
  name: ['name', 'learner', 'student', 'full name'],
  given: ['given name', 'first name', 'given', 'first'],
  family: ['family name', 'last name', 'surname', 'family', 'last'],
  signIn: ['sign-in', 'sign in', 'username', 'user', 'login'],
  groups: ['group', 'groups'],
  grade: ['grade', 'year group', 'grade level'],
}
type Column = keyof typeof COLUMNS
type Cell = (column: Column) => string

/**
 * Reads a roster: one learner a row, with or without headings (name, or given and family name; sign-in; groups
 * parted by `;`; grade). Without headings the columns are name, sign-in, groups. Bad rows are listed with their line,
 * never dropped.
 */
export function parseRoster(text: string): Result<RosterReading, FormatRefusal> {
  const table = readTable<Column>(text, {
    columns: COLUMNS,
    needed: ['name', 'given', 'family'],
    headless: () => ({ name: 0, signIn: 1, groups: 2 }),
  })
  if (!table.ok) return table
  const entries: RosterEntry[] = []
  const bad: BadRow[] = []
  const seen = { names: new Set<string>(), signIns: new Set<string>() }
  for (const { line, cells, cell } of table.value.rows) {
    const entry = entryOf(line, cell)
    const found = faultIn(entry, cell, seen)
    if (found) {
      bad.push({ line, ...found, text: found.fault === 'no-name' ? cells.join(', ') : found.text })
      continue
    }
    seen.names.add(entry.name.toLowerCase())
    if (entry.signIn !== null) seen.signIns.add(entry.signIn)
    entries.push(entry)
  }
  return ok({ entries, bad })
}

function entryOf(line: number, cell: Cell): RosterEntry {
  const name = cell('name') || [cell('given'), cell('family')].filter(Boolean).join(' ')
  return {
    line,
    name: name.replace(/\s+/g, ' '),
    signIn: cell('signIn').toLowerCase() || null,
    grade: cell('grade') === '' ? null : Number(cell('grade')),
    groups: cell('groups')
      .split(';')
      .map((g) => g.trim())
      .filter(Boolean),
  }
}

interface Seen {
  readonly names: ReadonlySet<string>
  readonly signIns: ReadonlySet<string>
}

/** What is wrong with a row, and the words that show it; null: nothing. */
function faultIn({ name, signIn, grade }: RosterEntry, cell: Cell, seen: Seen): Omit<BadRow, 'line'> | null {
  if (name === '') return { fault: 'no-name', text: '' }
  if (name.length > 80) return { fault: 'name-too-long', text: `${name.slice(0, 40)}…` }
  if (seen.names.has(name.toLowerCase())) return { fault: 'same-twice', text: name }
  if (signIn !== null && !/^[a-z0-9._-]{2,40}$/.test(signIn)) return { fault: 'bad-sign-in', text: signIn }
  if (signIn !== null && seen.signIns.has(signIn)) return { fault: 'sign-in-twice', text: signIn }
  if (cell('groups').split(';').length > MOST_GROUPS) return { fault: 'too-many-groups', text: name }
  return grade === null || isGrade(grade) ? null : { fault: 'bad-grade', text: cell('grade') }
}
