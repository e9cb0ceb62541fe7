import type { Result } from '../../../base'
import type { Book, BookLesson } from '../../../library'
import { printCells } from '../../csv'
import { lengthIn } from '../../outline'
import type { FormatRefusal } from '../../refusals'
import { readTable } from '../../table'
import type { TableReading } from '../../table'
import type { ShelfReading, ShelfRow } from '../types'
import { readingOfBook } from './foundBook'
import type { FoundLesson } from './foundBook'

const COLUMNS = {
  unitNumber: ['unit number'],
  unit: ['unit', 'topic', 'chapter'],
  number: ['lesson number', 'number'],
  lesson: ['lesson', 'title'],
  meetings: ['meetings', 'length', 'days', 'periods'],
  kind: ['kind'],
} as const
type Column = keyof typeof COLUMNS
const READING: TableReading<Column> = { columns: COLUMNS, needed: ['lesson'] }
const KINDS: readonly BookLesson['kind'][] = ['lesson', 'test', 'project', 'review']

/** The outline of a textbook as CSV, one row a lesson. What is read of it again is the same. */
export function printOutline(book: Pick<Book, 'units'>): string {
  const head = ['Unit number', 'Unit', 'Lesson number', 'Lesson', 'Meetings', 'Kind']
  const rows = book.units.flatMap((unit) =>
    unit.lessons.map((l) => [unit.number, unit.title, l.number, l.title, String(l.typicalMeetings), l.kind]),
  )
  return printCells([head, ...rows])
}

/** Whether the headings of a table are those of an outline. */
export function isOutline(text: string): boolean {
  const table = readTable<Column>(text, READING)
  const at = table.ok ? table.value.at : {}
  return at.lesson !== undefined && (at.unit !== undefined || at.meetings !== undefined)
}

/**
 * Reads an outline (CSV with the headings Unit, Lesson, Meetings; numbers and kind where they are given) as a textbook
 * without pieces. An empty unit repeats the one above; rows that say no lesson or no length are named and left out.
 */
export function readOutline(text: string, title: string): Result<ShelfReading, FormatRefusal> {
  const table = readTable<Column>(text, READING)
  if (!table.ok) return table
  const units: { title: string; number?: string; lessons: FoundLesson[] }[] = []
  const rows = table.value.rows.map(({ line, cell }): ShelfRow => {
    const what = cell('lesson')
    const where = `line ${line}`
    const meetings = lengthIn(cell('meetings'))
    if (what === '') return { where, what, outcome: 'refused', because: [{ code: 'no-text' }] }
    if (meetings === null)
      return { where, what, outcome: 'refused', because: [{ code: 'not-meetings', text: cell('meetings') }] }
    const last = units.at(-1)
    const unitTitle = cell('unit') || (last?.title ?? title)
    const unitNumber = cell('unitNumber') || (last?.title === unitTitle ? (last.number ?? '') : '')
    if (last?.title !== unitTitle || (last.number ?? '') !== unitNumber)
      units.push({ title: unitTitle, ...(unitNumber === '' ? {} : { number: unitNumber }), lessons: [] })
    const kind = KINDS.find((k) => k === cell('kind').toLowerCase()) ?? 'lesson'
    const number = cell('number')
    const numbered = number === '' ? {} : { number }
    units.at(-1)?.lessons.push({ title: what, pieces: [], meetings, kind, ...numbered })
    return { where, what: `${unitTitle}: ${what}`.slice(0, 200), outcome: 'taken', because: [] }
  })
  return readingOfBook('outline', { title, parts: units, others: [], rows })
}
