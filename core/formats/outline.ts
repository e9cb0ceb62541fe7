import { ok } from '../base'
import type { Result } from '../base'
import type { TextRow } from './csv'
import type { FormatRefusal } from './refusals'
import { readTable } from './table'
import type { Positions } from './table'

export interface OutlineLesson {
  readonly line: number
  readonly unit: string
  readonly title: string
  readonly meetings: number
}
export const OUTLINE_FAULTS = ['no-lesson', 'no-unit', 'not-meetings', 'minutes-not-meetings'] as const
export type OutlineFault = (typeof OUTLINE_FAULTS)[number]
export interface BadOutlineRow {
  readonly line: number
  readonly fault: OutlineFault
  readonly text: string
}
export interface OutlineReading {
  readonly lessons: readonly OutlineLesson[]
  readonly bad: readonly BadOutlineRow[]
}

const COLUMNS = {
  unit: ['unit', 'topic', 'chapter'],
  lesson: ['lesson', 'title'],
  meetings: ['meetings', 'length', 'days', 'periods', 'count'],
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
 * Reads an outline: unit, lesson, meetings a row, with or without headings; or lessons alone, which then are one
 * unit. An empty unit repeats the one above; empty meetings means 1. Lengths are whole or half meetings from 0.5
 * to 40; anything else is listed as a bad row with its line.
 */
export function parseOutline(text: string): Result<OutlineReading, FormatRefusal> {
  const table = readTable<Column>(text, { columns: COLUMNS, needed: ['lesson'], headless: columnsOf })
  if (!table.ok) return table
  const { at, rows } = table.value
  const lessons: OutlineLesson[] = []
  const bad: BadOutlineRow[] = []
  let unit = at.unit === undefined ? ONLY_UNIT : ''
  for (const { line, cells, cell } of rows) {
    unit = cell('unit') || unit
    const title = cell('lesson')
    const meetings = lengthIn(cell('meetings'))
    if (title === '') bad.push({ line, fault: 'no-lesson', text: cells.join(', ') })
    else if (unit === '') bad.push({ line, fault: 'no-unit', text: title })
    else if (typeof meetings === 'string') bad.push({ line, fault: meetings, text: cell('meetings') })
    else lessons.push({ line, unit, title, meetings })
  }
  return ok({ lessons, bad })
}

/** A length in whole or half meetings from 0.5 to 40, 1 where none is given; or why it is none. */
export function lengthIn(cell: string): number | OutlineFault {
  const length = cell.replace(',', '.')
  const meetings = length === '' ? 1 : Number(length)
  if (/min/i.test(length)) return 'minutes-not-meetings'
  return Number.isInteger(meetings * 2) && meetings >= 0.5 && meetings <= 40 ? meetings : 'not-meetings'
}
