import { ok } from '../base'
import type { Result } from '../base'
import { asMeant, columnsHeaded, headings, parseCells, plainHeading } from './csv'
import type { TextRow } from './csv'
import type { FormatRefusal } from './refusals'
import type { ColumnsChosen, LeftLine, TableSeen } from './tableSeen'

/** What a table can hold, in the order of its columns: each column's name, and what it may be headed by. */
export type Columns<Column extends string> = Readonly<Record<Column, readonly string[]>>

/** Where columns stand, counted from 0; one that is absent is not in the table. */
export type Positions<Column extends string> = Readonly<Partial<Record<Column, number>>>

export interface TableRow<Column extends string> {
  readonly line: number
  readonly cells: readonly string[]
  /** A cell as it was meant; empty where there is none. */
  readonly cell: (column: Column) => string
}

export interface Table<Column extends string> {
  readonly at: Positions<Column>
  readonly rows: readonly TableRow<Column>[]
  /** What stands above the headings, cell by cell. */
  readonly above: readonly TextRow[]
  readonly seen: TableSeen
}

export interface TableReading<Column extends string> {
  readonly columns: Columns<Column>
  /** A row is a heading row when it names one of these. */
  readonly needed: readonly Column[]
  /** Where columns stand when nothing heads them; absent: nowhere. */
  readonly headless?: (rows: readonly TextRow[]) => Positions<Column>
  /** Where somebody has said that columns stand, by name; `headed`: 1 where the first row heads them, 0 where not. */
  readonly chosen?: ColumnsChosen
  /** Letters in a cell, where those of a text are more than usual. */
  readonly mostInCell?: number
}

/** So many lines may stand above the headings: a school, a title, a date. */
const MOST_ABOVE = 8
/** As many rows as are shown to who says which column is what. */
const MOST_SHOWN = 4
/** What the first cell of a line of sums says, in the languages of our schools. */
const TOTALS = new Set(['total', 'totals', 'grand total', 'gesamt', 'insgesamt', 'totale', 'totaal'])
/** The same of the last line only: further up they may be what a lesson is about. */
const LAST_TOTALS = new Set(['sum', 'summe', 'somme', 'suma', 'count', 'anzahl'])
const NUMBER = /^[-+]?[\d.,\s%]*$/

/**
 * Reads CSV or pasted cells as rows with named columns, with or without a heading row; what stands above the headings
 * and lines of sums are left out, and named. Refused when the text is no table, see `parseCells`.
 */
export function readTable<Column extends string>(
  text: string,
  { columns, needed, headless, chosen = null, mostInCell }: TableReading<Column>,
): Result<Table<Column>, FormatRefusal> {
  const read = parseCells(text, mostInCell)
  if (!read.ok) return read
  const isHeaded = chosen?.headed === undefined ? headless === undefined : chosen.headed === 1
  const { head, above, data } = parted(read.value, columns, needed, isHeaded)
  const unheaded = headless ? headless(data) : ({} as Positions<Column>)
  const at = positionsOf(columns, chosen) ?? head?.at ?? unheaded
  const totals = data.filter((row, i) => isTotal(row, i === data.length - 1))
  const sums = new Set(totals)
  const rows = data
    .filter((row) => !sums.has(row))
    .map(({ line, cells }) => {
      const cell = (column: Column) => {
        const place: number | undefined = at[column]
        return place === undefined ? '' : asMeant(cells[place] ?? '')
      }
      return { line, cells, cell }
    })
  const left = [
    ...above.map((row) => leaving(row, 'above-headings')),
    ...totals.map((row) => leaving(row, 'total')),
  ]
  return ok({
    at,
    rows,
    above,
    seen: {
      head: head?.cells ?? [],
      sample: sampleOf(rows),
      at: { ...at } as TableSeen['at'],
      headed: head === null ? 'not' : head.at === null ? 'said' : 'known',
      left,
    },
  })
}

interface Parted<Column extends string> {
  /** The heading row; `at`: null where nobody knows its words. */
  readonly head: { readonly at: Positions<Column> | null; readonly cells: readonly string[] } | null
  readonly above: readonly TextRow[]
  readonly data: readonly TextRow[]
}

/** The headings, what stands above them, and the rows below; all are rows where nothing heads them. */
function parted<Column extends string>(
  rows: readonly TextRow[],
  columns: Columns<Column>,
  needed: readonly Column[],
  isHeaded: boolean,
): Parted<Column> {
  for (const [i, row] of rows.slice(0, MOST_ABOVE).entries()) {
    const at = headings(row, columns, needed)
    // a title has fewer cells than the headings below it; a row with as many is one of the table
    const isBelowTitles = rows.slice(0, i).every((title) => filledIn(title) < filledIn(row))
    if (at && isBelowTitles)
      return { head: { at, cells: row.cells }, above: rows.slice(0, i), data: rows.slice(i + 1) }
  }
  const [first] = rows
  const headed = first ? columnsHeaded(first, columns) : null
  if (first && headed && Object.keys(headed).length >= 2)
    return { head: { at: headed, cells: first.cells }, above: [], data: rows.slice(1) }
  if (isHeaded && first) return { head: { at: null, cells: first.cells }, above: [], data: rows.slice(1) }
  return { head: null, above: [], data: rows }
}

const filledIn = ({ cells }: TextRow) => cells.filter((cell) => cell !== '').length

function isTotal({ cells }: TextRow, isLast: boolean): boolean {
  const [first = '', ...others] = cells.filter((cell) => cell !== '')
  const word = plainHeading(first)
  const isNamed = TOTALS.has(word) || (isLast && LAST_TOTALS.has(word))
  return isNamed && others.every((cell) => NUMBER.test(cell))
}

function leaving({ line, cells }: TextRow, why: LeftLine['why']): LeftLine {
  return {
    line,
    why,
    text: cells
      .filter((cell) => cell !== '')
      .join(', ')
      .slice(0, 200),
  }
}

function sampleOf(rows: readonly { readonly cells: readonly string[] }[]): TableSeen['sample'] {
  return rows.slice(0, MOST_SHOWN).map(({ cells }) => cells.slice(0, 30).map((cell) => cell.slice(0, 80)))
}

/** Columns in the order in which they are listed. */
export function inOrderOf<Column extends string>(columns: Columns<Column>): Positions<Column> {
  const names = Object.keys(columns) as Column[]
  return Object.fromEntries(names.map((name, i) => [name, i])) as Positions<Column>
}

/** Positions that somebody sent, as those of a table with these columns; null: none. */
function positionsOf<Column extends string>(
  columns: Columns<Column>,
  sent: ColumnsChosen,
): Positions<Column> | null {
  if (!sent) return null
  const names = Object.keys(columns) as Column[]
  const known = names.flatMap((name) => (sent[name] === undefined ? [] : [[name, sent[name]] as const]))
  return known.length === 0 ? null : (Object.fromEntries(known) as Positions<Column>)
}
