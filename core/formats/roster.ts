import { isGrade } from '../audience'
import { ok } from '../base'
import type { Result } from '../base'
import type { FormatRefusal } from './refusals'
import { readTable } from './table'
import type { ColumnsChosen, TableSeen } from './tableSeen'

export interface RosterEntry {
  readonly line: number
  readonly name: string
  readonly signIn: string | null
  readonly groups: readonly string[]
  /** The class that the row names; null: none. */
  readonly className: string | null
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
  readonly table: TableSeen
}

/** Groups that one row may name. */
const MOST_GROUPS = 20

const COLUMNS = {
  name: [
    ...['name', 'learner', 'student', 'pupil', 'full name', 'learner name', 'student name', 'pupil name'],
    ...['schüler', 'schülerin', 'schüler/in', 'schülername', 'name vorname', 'vor- und nachname'],
    ...['élève', 'nom complet', 'nom et prénom', 'nom prénom', 'nom'],
    ...[
      'alumno',
      'alumna',
      'alumno/a',
      'nombre completo',
      'apellidos y nombre',
      'nombre y apellidos',
      'estudiante',
    ],
    ...['alunno', 'studente', 'cognome e nome', 'leerling', 'naam'],
  ],
  given: [
    ...['given name', 'first name', 'given', 'first', 'forename', 'given names', 'first names'],
    ...['vorname', 'vornamen', 'rufname', 'prénom', 'prénoms', 'nombre', 'nombres', 'nome', 'voornaam'],
  ],
  family: [
    ...[
      'family name',
      'last name',
      'surname',
      'family',
      'last',
      'nachname',
      'familienname',
      'nom de famille',
    ],
    ...['apellido', 'apellidos', 'cognome', 'achternaam'],
  ],
  signIn: [
    ...['sign-in', 'sign in', 'username', 'user name', 'user', 'login', 'benutzername', 'anmeldename'],
    ...['identifiant', 'usuario', 'nombre de usuario', 'utente', 'gebruikersnaam'],
  ],
  groups: ['group', 'groups', 'gruppe', 'gruppen', 'groupe', 'groupes', 'grupo', 'grupos', 'gruppo', 'groep'],
  grade: [
    ...['grade', 'year group', 'grade level', 'year', 'klassenstufe', 'jahrgang', 'stufe', 'niveau'],
    ...['année', 'curso', 'grado', 'anno', 'leerjaar'],
  ],
  className: [
    'class',
    'class name',
    'section',
    'form',
    'klasse',
    'classe',
    'clase',
    'klas',
    'sektion',
    'division',
  ],
}
type Column = keyof typeof COLUMNS
type Cell = (column: Column) => string

/**
 * Reads a roster: one learner a row, with or without headings (name, or given and family name; sign-in; groups
 * parted by `;`; grade; class). Without headings the columns are name, sign-in, groups. Bad rows are listed with their
 * line, never dropped.
 * @param chosen which column is what, where somebody has said so
 */
export function parseRoster(
  text: string,
  chosen: ColumnsChosen = null,
): Result<RosterReading, FormatRefusal> {
  const table = readTable<Column>(text, {
    columns: COLUMNS,
    needed: ['name', 'given', 'family'],
    headless: () => ({ name: 0, signIn: 1, groups: 2 }),
    chosen,
  })
  if (!table.ok) return table
  const entries: RosterEntry[] = []
  const bad: BadRow[] = []
  const seen = { names: new Map<string, string | null>(), signIns: new Set<string>() }
  const isFamilyFirst = namesFamilyFirst(table.value.rows.map(({ cell }) => cell('name')))
  for (const { line, cells, cell } of table.value.rows) {
    const entry = entryOf(line, cell, isFamilyFirst)
    const found = faultIn(entry, cell, seen)
    if (found) {
      bad.push({ line, ...found, text: found.fault === 'no-name' ? cells.join(', ') : found.text })
      continue
    }
    seen.names.set(entry.name.toLowerCase(), entry.signIn)
    if (entry.signIn !== null) seen.signIns.add(entry.signIn)
    entries.push(entry)
  }
  return ok({ entries, bad, table: table.value.seen })
}

/** Whether the headings of a table are those of a roster. */
export function isRoster(text: string): boolean {
  const table = readTable<Column>(text, { columns: COLUMNS, needed: ['given', 'family', 'signIn'] })
  if (!table.ok || table.value.seen.headed !== 'known') return false
  const { name, given, family } = table.value.at
  return name !== undefined || (given !== undefined && family !== undefined)
}

const FAMILY_FIRST = /^([^,]+),([^,]+)$/
/** What may follow a name after a comma without being a given name. */
const ADDED = /^(?:jr|sr|ii|iii|iv)\.?$/i

/** Whether names are written as ‘Reyes, Ana’: most of them have one comma. */
function namesFamilyFirst(names: readonly string[]): boolean {
  const written = names.filter((name) => name !== '')
  return written.length > 0 && written.filter((name) => FAMILY_FIRST.test(name)).length * 2 > written.length
}

/** A name as it is said: given name first. */
function nameOf(cell: Cell, isFamilyFirst: boolean): string {
  const [whole, given, family] = [cell('name'), cell('given'), cell('family')]
  // where the given name has a column of its own, ‘Name’ is the family name
  const written =
    given !== '' && !whole.toLowerCase().includes(given.toLowerCase()) ? [given, family || whole] : []
  if (written.length > 0) return written.join(' ').trim()
  if (whole === '') return [given, family].filter(Boolean).join(' ')
  const [, before = '', after = ''] = FAMILY_FIRST.exec(whole) ?? []
  const first = after.trim()
  return isFamilyFirst && first !== '' && !ADDED.test(first) ? `${first} ${before}` : whole
}

function entryOf(line: number, cell: Cell, isFamilyFirst: boolean): RosterEntry {
  return {
    line,
    name: nameOf(cell, isFamilyFirst).replace(/\s+/g, ' '),
    className: cell('className') || null,
    signIn: cell('signIn').toLowerCase() || null,
    grade: gradeIn(cell('grade')),
    groups: cell('groups')
      .split(';')
      .map((g) => g.trim())
      .filter(Boolean),
  }
}

/** The number of a grade, such as 8 of ‘8’, ‘8.’ or ‘Grade 8’; NaN where there is none. */
function gradeIn(cell: string): number | null {
  if (cell === '') return null
  const [, digits] = /^\D{0,20}(\d{1,2})\D{0,12}$/.exec(cell) ?? []
  return digits === undefined ? Number.NaN : Number(digits)
}

interface Seen {
  /** The sign-in that goes with each name; null: none. */
  readonly names: ReadonlyMap<string, string | null>
  readonly signIns: ReadonlySet<string>
}

/** What is wrong with a row, and the words that show it; null: nothing. */
function faultIn({ name, signIn, grade }: RosterEntry, cell: Cell, seen: Seen): Omit<BadRow, 'line'> | null {
  if (!/\p{L}/u.test(name)) return { fault: 'no-name', text: '' }
  if (name.length > 80) return { fault: 'name-too-long', text: `${name.slice(0, 40)}…` }
  // two of one name are two people where their sign-ins say so
  const before = seen.names.get(name.toLowerCase())
  if (before !== undefined && (before === null || signIn === null || before === signIn))
    return { fault: 'same-twice', text: name }
  if (signIn !== null && !/^[a-z0-9._-]{2,40}$/.test(signIn)) return { fault: 'bad-sign-in', text: signIn }
  if (signIn !== null && seen.signIns.has(signIn)) return { fault: 'sign-in-twice', text: signIn }
  if (cell('groups').split(';').length > MOST_GROUPS) return { fault: 'too-many-groups', text: name }
  return grade === null || isGrade(grade) ? null : { fault: 'bad-grade', text: cell('grade') }
}
