import Papa from 'papaparse'
import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { FormatRefusal } from './refusals'

/** A row of outside text with its line number (1 = first line of the file). */
export interface TextRow {
  readonly line: number
  readonly cells: readonly string[]
}

const MOST_ROWS = 5000
/** Longer than any name, title or list of groups; nothing is matched against a longer cell, unless it is a text. */
const MOST_IN_CELL = 1000
const BREAK = /\r\n|\n|\r/

/**
 * Reads CSV or pasted cells (comma, semicolon, tab or bar; RFC 4180 quotes), skipping blank lines. A first line
 * `sep=;` names the separator, as spreadsheets write it. Refused when empty, unreadable, over 5,000 rows, or when
 * letters were lost on the way because the file was saved in another encoding.
 */
export function parseCells(
  text: string,
  mostInCell = MOST_IN_CELL,
): Result<readonly TextRow[], FormatRefusal> {
  const source = text.replace(/^\uFEFF/, '')
  if (source.includes('\u0000')) return refuse({ code: 'formats/not-text', field: 'text' })
  if (source.trim() === '') return refuse({ code: 'formats/empty', field: 'text' })
  const lost = source.indexOf('\uFFFD')
  if (lost >= 0) {
    const line = source.slice(0, lost).split(BREAK).length
    return refuse({ code: 'formats/lost-letters', field: 'text', line })
  }
  const named = /^sep=(.)[ \t]*(?:\r\n|\n|\r|$)/i.exec(source)
  const rest = named ? source.slice(named[0].length) : source
  return rowsOf(rest, named?.[1] ?? sniffed(rest), named ? 2 : 1, mostInCell)
}

function rowsOf(
  source: string,
  delimiter: string,
  firstLine: number,
  mostInCell: number,
): Result<readonly TextRow[], FormatRefusal> {
  const rows: TextRow[] = []
  const broken: number[] = []
  const long: number[] = []
  let line = firstLine
  let cursor = 0
  Papa.parse<string[]>(source, {
    delimiter,
    step: ({ data, errors, meta }) => {
      if (errors.some((e) => e.type === 'Quotes')) broken.push(line)
      else if (data.some((c) => c.length > mostInCell)) long.push(line)
      const cells = data.map((c) => c.trim())
      if (cells.some((c) => c !== '')) rows.push({ line, cells })
      line += source.slice(cursor, meta.cursor).split(BREAK).length - 1
      cursor = meta.cursor
    },
  })
  const [brokenAt] = broken
  if (brokenAt !== undefined) return refuse({ code: 'formats/broken-quotes', field: 'text', line: brokenAt })
  const [longAt] = long
  if (longAt !== undefined)
    return refuse({ code: 'formats/cell-too-long', field: 'text', line: longAt, most: mostInCell })
  if (rows.length > MOST_ROWS)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count: rows.length, most: MOST_ROWS })
  return ok(rows)
}

/** As much of a text as its separator is looked for in. */
const [LETTERS_LOOKED_AT, LINES_LOOKED_AT] = [20_000, 20]

/**
 * The separator that occurs equally often in the most of the first lines, outside quotes: a title above a table has
 * none or others. Among equals the one that parts lines further, then a tab, as pasted cells have it.
 */
function sniffed(source: string): string {
  const lines = source
    .slice(0, LETTERS_LOOKED_AT)
    .replace(/"[^"]*"/g, '')
    .split(BREAK)
    .filter((line) => line.trim() !== '')
    .slice(0, LINES_LOOKED_AT)
  const best = { separator: ',', lines: 0, count: 0 }
  for (const separator of ['\t', ';', '|', ',']) {
    const often = new Map<number, number>()
    for (const line of lines) {
      const count = line.split(separator).length - 1
      if (count > 0) often.set(count, (often.get(count) ?? 0) + 1)
    }
    for (const [count, found] of often)
      if (found > best.lines || (found === best.lines && count > best.count))
        Object.assign(best, { separator, lines: found, count })
  }
  return best.separator
}

/**
 * Column positions by heading, when the first row is a heading row; null when it is data. A heading row names at
 * least one of the columns without which the others say nothing, and has no numbers.
 */
export function headings<Name extends string>(
  row: TextRow,
  names: Readonly<Record<Name, readonly string[]>>,
  needed: readonly Name[],
): Readonly<Partial<Record<Name, number>>> | null {
  const found = columnsHeaded(row, names)
  return needed.some((name) => found[name] !== undefined) ? found : null
}

/** Where the columns stand by what heads them, whether or not all that is needed is there. */
export function columnsHeaded<Name extends string>(
  row: TextRow,
  names: Readonly<Record<Name, readonly string[]>>,
): Readonly<Partial<Record<Name, number>>> {
  const found: Partial<Record<Name, number>> = {}
  if (row.cells.some((cell) => /^\d+(?:[.,]\d+)?$/.test(cell))) return found
  row.cells.forEach((cell, at) => {
    const word = plainHeading(cell)
    for (const name of Object.keys(names) as Name[])
      if (names[name].some((known) => plainHeading(known) === word)) found[name] ??= at
  })
  return found
}

/** A heading without capitals, accents, signs between its words, and what stands in brackets. */
export function plainHeading(heading: string): string {
  return heading
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\([^()]*\)/g, '')
    .replace(/[^\p{L}\p{N}/]+/gu, ' ')
    .trim()
}

/** A cell that a spreadsheet would run, whatever spaces, tabs and line breaks stand before its sign. */
const RUNS = /^[\t\r\n]|^[\s\u200B]*[=+\-@]/

/**
 * Rows as CSV (RFC 4180, CRLF), with a mark at the start for programs that guess the encoding; cells that a
 * spreadsheet would run as a formula are quoted as text.
 */
export function printCells(rows: readonly (readonly string[])[]): string {
  return `\uFEFF${Papa.unparse(
    rows.map((r) => [...r]),
    { escapeFormulae: RUNS, newline: '\r\n' },
  )}\r\n`
}

/** Without the sign that keeps a spreadsheet from running a cell, such as one with a number below zero. */
export function asMeant(cell: string): string {
  return cell.replace(/^'(?=\s*[=+\-@])/, '')
}
