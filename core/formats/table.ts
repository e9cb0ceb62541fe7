import { ok } from '../base'
import type { Result } from '../base'
import { asMeant, headings, parseCells } from './csv'
import type { TextRow } from './csv'
import type { FormatRefusal } from './refusals'

/** What a table can hold, in the order of its columns: each column's name, and what it may be headed by. */
export type Columns<Column extends string> = Readonly<Record<Column, readonly string[]>>

/** Where columns stand; one that is absent is not in the table. */
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
}

export interface TableReading<Column extends string> {
  readonly columns: Columns<Column>
  /** A first row is a heading row when it names one of these. */
  readonly needed: readonly Column[]
  /** Where columns stand when nothing heads them; absent: nowhere. */
  readonly headless?: (rows: readonly TextRow[]) => Positions<Column>
  /** Letters in a cell, where those of a text are more than usual. */
  readonly mostInCell?: number
}

/**
 * Reads CSV or pasted cells as rows with named columns, with or without a heading row. Refused when the text is no
 * table, see `parseCells`.
 */
export function readTable<Column extends string>(
  text: string,
  { columns, needed, headless, mostInCell }: TableReading<Column>,
): Result<Table<Column>, FormatRefusal> {
  const read = parseCells(text, mostInCell)
  if (!read.ok) return read
  const [first] = read.value
  const head = first ? headings(first, columns, needed) : null
  const data = head ? read.value.slice(1) : read.value
  const unheaded = headless ? headless(data) : ({} as Positions<Column>)
  const at = head ?? unheaded
  const rows = data.map(({ line, cells }) => {
    const cell = (column: Column) => {
      const place: number | undefined = at[column]
      return place === undefined ? '' : asMeant(cells[place] ?? '')
    }
    return { line, cells, cell }
  })
  return ok({ at, rows })
}

/** Columns in the order in which they are listed. */
export function inOrderOf<Column extends string>(columns: Columns<Column>): Positions<Column> {
  const names = Object.keys(columns) as Column[]
  return Object.fromEntries(names.map((name, i) => [name, i])) as Positions<Column>
}
