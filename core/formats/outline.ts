import { ok } from '../base'
import type { Result } from '../base'
import { LESSON_KINDS, WEIGHTS } from '../pacing'
import type { LessonKind, Weight } from '../pacing'
import type { TextRow } from './csv'
import type { FormatRefusal } from './refusals'
import { readTable } from './table'
import type { Positions } from './table'
import type { ColumnsChosen, TableSeen } from './tableSeen'

export interface OutlineLesson {
  readonly line: number
  readonly unit: string
  readonly title: string
  readonly length: OutlineLength
  readonly weight: Weight
  readonly kind: LessonKind
}
/** A usual length, in meetings (whole or half ones) or in minutes. */
export interface OutlineLength {
  readonly unit: 'meetings' | 'minutes'
  readonly typical: number
}
export const OUTLINE_FAULTS = [
  'no-lesson',
  'no-unit',
  'not-meetings',
  'not-minutes',
  'bad-kind',
  'bad-weight',
] as const
export type OutlineFault = (typeof OUTLINE_FAULTS)[number]
export interface BadOutlineRow {
  readonly line: number
  readonly fault: OutlineFault
  readonly text: string
}
export interface OutlineReading {
  readonly lessons: readonly OutlineLesson[]
  readonly bad: readonly BadOutlineRow[]
  readonly table: TableSeen
}

const COLUMNS = {
  unit: [
    ...['unit', 'topic', 'chapter', 'module', 'theme', 'einheit', 'thema', 'kapitel', 'lernbereich', 'unité'],
    ...['thème', 'chapitre', 'séquence', 'unidad', 'tema', 'capítulo', 'unità', 'capitolo', 'hoofdstuk'],
  ],
  lesson: [
    ...[
      'lesson',
      'lessons',
      'title',
      'lesson title',
      'lektion',
      'stunde',
      'unterrichtsstunde',
      'titel',
      'inhalt',
    ],
    ...['leçon', 'séance', 'titre', 'lección', 'clase', 'título', 'lezione', 'titolo', 'les'],
  ],
  meetings: [
    ...['meetings', 'length', 'days', 'periods', 'count', 'stunden', 'anzahl stunden', 'dauer'],
    ...['séances', 'heures', 'durée', 'sesiones', 'horas', 'duración', 'ore', 'durata', 'lesuren'],
  ],
  minutes: ['minutes', 'min', 'minuten', 'minutos', 'minuti'],
  weight: ['weight', 'importance', 'gewicht', 'gewichtung', 'poids', 'peso'],
  kind: ['kind', 'type', 'art', 'typ', 'genre', 'tipo'],
}

type Column = keyof typeof COLUMNS

/**
 * Where the columns of an outline without headings stand: unit, lesson, meetings; or lessons alone, or lesson and
 * meetings, when no row has anything else.
 */
function columnsOf(rows: readonly TextRow[]): Positions<Column> {
  const isOne = rows.every(({ cells }) => cells.slice(1).every((c) => c === ''))
  if (isOne) return { lesson: 0 }
  const isTwo = rows.every(({ cells }) => cells.slice(2).every((c) => c === '') && isCount(cells[1] ?? ''))
  return isTwo ? { lesson: 0, meetings: 1 } : { unit: 0, lesson: 1, meetings: 2 }
}

function isCount(cell: string): boolean {
  return cell === '' || /^\d+(?:[.,]5)?$/.test(cell)
}

/** The unit of an outline that names none. */
const ONLY_UNIT = '1'

/**
 * Reads an outline: unit, lesson, meetings a row, with or without headings (also minutes, weight, kind); or lessons
 * alone, which then are one unit. An empty unit repeats the one above, and a row in which only a unit stands heads
 * those below; an empty length means one meeting. Lengths are whole or half meetings from 0.5 to 40, or minutes
 * (`45 min`); anything else is listed as a bad row with its line.
 * @param chosen which column is what, where somebody has said so
 */
export function parseOutline(
  text: string,
  chosen: ColumnsChosen = null,
): Result<OutlineReading, FormatRefusal> {
  const table = readTable<Column>(text, {
    columns: COLUMNS,
    needed: ['lesson'],
    headless: columnsOf,
    chosen,
  })
  if (!table.ok) return table
  const { at, rows, seen } = table.value
  const lessons: OutlineLesson[] = []
  const bad: BadOutlineRow[] = []
  let unit = at.unit === undefined ? ONLY_UNIT : ''
  for (const { line, cells, cell } of rows) {
    unit = cell('unit') || unit
    if (cell('unit') !== '' && cells.filter((c) => c !== '').length === 1 && isFollowed(rows, line)) continue
    const read = lessonIn(line, unit, cell)
    if ('fault' in read) bad.push({ ...read, text: read.text || cells.join(', ') })
    else lessons.push(read)
  }
  return ok({ lessons, bad, table: seen })
}

/** Whether a row below has no unit of its own: it belongs to the one that stands above it alone. */
function isFollowed(
  rows: readonly { readonly line: number; readonly cell: (c: Column) => string }[],
  line: number,
) {
  const next = rows.find((row) => row.line > line)
  return next !== undefined && next.cell('unit') === '' && next.cell('lesson') !== ''
}

function lessonIn(
  line: number,
  unit: string,
  cell: (column: Column) => string,
): OutlineLesson | BadOutlineRow {
  const title = cell('lesson')
  const fault = (of: OutlineFault, text: string): BadOutlineRow => ({ line, fault: of, text })
  if (title === '') return fault('no-lesson', '')
  if (unit === '') return fault('no-unit', title)
  const length = usualLength(cell)
  if (typeof length === 'string') return fault(length, cell('minutes') || cell('meetings'))
  const weight = cell('weight') === '' ? 'core' : WEIGHTS.find((w) => w === cell('weight').toLowerCase())
  if (weight === undefined) return fault('bad-weight', cell('weight'))
  const kind = cell('kind') === '' ? 'lesson' : LESSON_KINDS.find((k) => k === cell('kind').toLowerCase())
  return kind === undefined ? fault('bad-kind', cell('kind')) : { line, unit, title, length, weight, kind }
}

function usualLength(cell: (column: Column) => string): OutlineLength | OutlineFault {
  const minutes = cell('minutes') || (/min/i.test(cell('meetings')) ? cell('meetings') : '')
  if (minutes === '') {
    const meetings = lengthIn(cell('meetings'))
    return meetings === null ? 'not-meetings' : { unit: 'meetings', typical: meetings }
  }
  const [, digits] = /^(\d{1,4})\s*(?:min\w*\.?|['’′])?$/i.exec(minutes) ?? []
  const typical = Number(digits)
  return typical >= 5 && typical <= 1200 ? { unit: 'minutes', typical } : 'not-minutes'
}

/** A length in whole or half meetings from 0.5 to 40, 1 where none is given; null: it is none. */
export function lengthIn(cell: string): number | null {
  const length = cell.replace(',', '.')
  const meetings = length === '' ? 1 : Number(length)
  return Number.isInteger(meetings * 2) && meetings >= 0.5 && meetings <= 40 ? meetings : null
}
