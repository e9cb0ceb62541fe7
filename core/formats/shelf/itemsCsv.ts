import { asId, ok, refuse } from '../../base'
import type { ItemId, Result } from '../../base'
import { RESOURCE_KINDS, faultOf, fromCells, toCells } from '../../library'
import type { Item, Resource } from '../../library'
import { printCells } from '../csv'
import type { FormatRefusal } from '../refusals'
import type { TextRow } from '../csv'
import { readTable } from '../table'
import type { ColumnsChosen } from '../tableSeen'
import { ITEM_COLUMNS, readCells } from './itemCells'
import type { ItemColumn } from './itemCells'
import { plainPiece } from './plainPiece'
import { NO_BOOK } from './types'
import type { ShelfReading, ShelfRow, Shortfall } from './types'

const ORDER = (Object.keys(ITEM_COLUMNS) as readonly ItemColumn[]).filter((name) => name.length > 1)
type Row = Readonly<Record<ItemColumn, string>>

/** What a table says of the piece whose questions it holds, in a line above its headings. */
type AboutPiece = Pick<Resource, 'title' | 'kind' | 'minutes'>
const PIECE = 'piece'

/**
 * A bank of items as CSV, one row an item, with headings; above them title, kind and minutes of the piece, where it is
 * one. What is read of it again is the same.
 */
export function printItems(items: readonly Item[], piece: AboutPiece | null = null): string {
  const about = piece === null ? [] : [['Piece', piece.title, piece.kind, String(piece.minutes)]]
  return printCells([
    ...about,
    [...ORDER],
    ...items.map((item) => ORDER.map((column) => rowOf(item)[column] ?? '')),
  ])
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
 * Reads a bank of items (CSV; the columns that `printItems` writes, or a column an answer with the key by letter or
 * number, in any order; comma, semicolon, tab or bar between them). Rows that cannot be answered or scored are named
 * with their line and left out.
 */
export function parseItems(
  text: string,
  name: string,
  chosen: ColumnsChosen = null,
): Result<ShelfReading, FormatRefusal> {
  const table = readTable<ItemColumn>(text, { columns: ITEM_COLUMNS, needed: ['question'], chosen })
  if (!table.ok) return table
  const { seen, above } = table.value
  if (table.value.at.question === undefined)
    return refuse({ code: 'formats/no-item-headings', field: 'text', table: seen })
  const items: Item[] = []
  const rows = table.value.rows.map(({ line, cell }): ShelfRow => {
    const read = readItem(cell, items.length + 1)
    const where = `line ${line}`
    const what = cell('question').slice(0, 200)
    if ('code' in read) return { where, what, outcome: 'refused', because: [read] }
    items.push(read)
    return { where, what, outcome: 'taken', because: [], item: read }
  })
  const told = toldIn(above)
  const title = told?.title ?? name
  const left = seen.left
    .filter(({ text: line }) => !line.toLowerCase().startsWith(`${PIECE}, `))
    .map(({ line, why, text: what }): ShelfRow => ({
      where: `line ${line}`,
      what,
      outcome: 'refused',
      because: [{ code: why }],
    }))
  const pieces = items.length === 0 ? [] : [plainPiece({ kind: 'practice-set', title, ...told, items })]
  return ok({
    format: 'items-csv',
    title,
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces,
    rows: [...rows, ...left],
    table: seen,
  })
}

function toldIn(above: readonly TextRow[]): AboutPiece | null {
  const [, title = '', named, minutes] =
    above.find(({ cells }) => cells[0]?.toLowerCase() === PIECE)?.cells ?? []
  const kind = RESOURCE_KINDS.find((k) => k === named)
  if (title === '' || !kind) return null
  return { title, kind, minutes: Math.min(300, Math.max(1, Math.round(Number(minutes) || 10))) }
}

function readItem(given: (column: ItemColumn) => string, number: number): Item | Shortfall {
  const read = readCells(given)
  if (!read) return { code: 'unknown-kind', name: given('kind') }
  const { kind, cell } = read
  if (cell('question') === '') return { code: 'no-text' }
  const whole = (column: ItemColumn, usual: number) =>
    cell(column) === '' ? usual : Number(cell(column).replace(',', '.'))
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
