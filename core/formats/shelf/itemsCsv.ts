import { asId, ok, refuse } from '../../base'
import type { ItemId, Result } from '../../base'
import { ITEM_KINDS, KEY_COLUMNS, faultOf, fromCells, toCells } from '../../library'
import type { Item } from '../../library'
import { printCells } from '../csv'
import type { FormatRefusal } from '../refusals'
import { readTable } from '../table'
import { plainPiece } from './plainPiece'
import { NO_BOOK } from './types'
import type { ShelfReading, ShelfRow, Shortfall } from './types'

const { answers, right, ...others } = KEY_COLUMNS

/** The columns of a table of questions, each with the names it may be headed by, in the order they are written. */
const COLUMNS = {
  kind: ['kind', 'type'],
  question: ['question', 'stem'],
  answers,
  right,
  points: ['points'],
  standard: ['standard'],
  difficulty: ['difficulty'],
  feedback: ['feedback'],
  hint: ['hint'],
  ...others,
} as const
type Column = keyof typeof COLUMNS
const ORDER = Object.keys(COLUMNS) as readonly Column[]
type Row = Readonly<Record<Column, string>>

/** A bank of items as CSV, one row an item, with headings. What is read of it again is the same. */
export function printItems(items: readonly Item[]): string {
  return printCells([[...ORDER], ...items.map((item) => ORDER.map((column) => rowOf(item)[column] ?? ''))])
}

function rowOf(item: Item): Partial<Row> {
  return {
    kind: item.kind,
    question: item.stem,
    points: String(item.points),
    standard: item.standard ?? '',
    difficulty: String(item.difficulty),
    feedback: item.feedback,
    hint: item.hint,
    ...toCells(item),
  }
}

/**
 * Reads a bank of items (CSV; the columns that `printItems` writes, in any order; comma, semicolon, tab or bar between
 * them). Rows that cannot be answered or scored are named with their line and left out.
 */
export function parseItems(text: string, title: string): Result<ShelfReading, FormatRefusal> {
  const table = readTable<Column>(text, { columns: COLUMNS, needed: ['kind', 'question'] })
  if (!table.ok) return table
  const { at } = table.value
  if (at.kind === undefined || at.question === undefined)
    return refuse({ code: 'formats/no-item-headings', field: 'text' })
  const items: Item[] = []
  const rows = table.value.rows.map(({ line, cell }): ShelfRow => {
    const read = readItem(cell, items.length + 1)
    const where = `line ${line}`
    const what = cell('question').slice(0, 200)
    if ('code' in read) return { where, what, outcome: 'refused', because: [read] }
    items.push(read)
    return { where, what, outcome: 'taken', because: [] }
  })
  const pieces = items.length === 0 ? [] : [plainPiece({ title, kind: 'practice-set', items })]
  return ok({ format: 'items-csv', title, outsideId: null, standards: [], ...NO_BOOK, pieces, rows })
}

function readItem(cell: (column: Column) => string, number: number): Item | Shortfall {
  const kind = ITEM_KINDS.find((k) => k === cell('kind').toLowerCase())
  if (!kind) return { code: 'unknown-kind', name: cell('kind') }
  if (cell('question') === '') return { code: 'no-text' }
  const whole = (column: Column, usual: number) => (cell(column) === '' ? usual : Number(cell(column)))
  const base = {
    id: asId<ItemId>(`q${number}`),
    stem: cell('question'),
    points: whole('points', 1),
    standard: cell('standard').slice(0, 40) || null,
    difficulty: Math.min(5, Math.max(1, Math.round(whole('difficulty', 3) || 3))),
    feedback: cell('feedback'),
    hint: cell('hint'),
  }
  const item = fromCells(kind, base, cell)
  const fault = faultOf(item, number)
  return fault ? { code: 'cannot-be-answered', why: fault.code } : item
}
