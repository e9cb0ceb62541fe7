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

/**
 * Reads CSV or pasted cells (comma, semicolon, tab or bar; RFC 4180 quotes), skipping blank lines. Refused
 * when empty, unreadable or over 5,000 rows.
 */
export function parseCells(text: string): Result<readonly TextRow[], FormatRefusal> {
  const source = text.replace(/^\uFEFF/, '')
  if (source.includes('\u0000')) return refuse({ code: 'formats/not-text', field: 'text' })
  if (source.trim() === '') return refuse({ code: 'formats/empty', field: 'text' })
  const delimiter = sniffed(source)
  const rows: TextRow[] = []
  let line = 1
  const broken: number[] = []
  let cursor = 0
  Papa.parse<string[]>(source, {
    delimiter,
    step: ({ data, errors, meta }) => {
      if (errors.some((e) => e.type === 'Quotes')) broken.push(line)
      const cells = data.map((c) => c.trim())
      if (cells.some((c) => c !== '')) rows.push({ line, cells })
      line += source.slice(cursor, meta.cursor).split(/\r\n|\n|\r/).length - 1
      cursor = meta.cursor
    },
  })
  const [brokenAt] = broken
  if (brokenAt !== undefined) return refuse({ code: 'formats/broken-quotes', field: 'text', line: brokenAt })
  if (rows.length > MOST_ROWS)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count: rows.length, most: MOST_ROWS })
  return ok(rows)
}

/**
 * The separator that occurs most in the first line outside quotes; a tab wins ties, as pasted cells have it.
 */
function sniffed(source: string): string {
  const first = (source.split(/\r\n|\n|\r/, 1)[0] ?? '').replace(/"[^"]*"/g, '')
  let best = ','
  let most = 0
  for (const candidate of ['\t', ';', '|', ',']) {
    const count = first.split(candidate).length - 1
    if (count > most) {
      best = candidate
      most = count
    }
  }
  return best
}

/** Column positions by heading, when the first row is a heading row; null when it is data. */
export function headings(
  row: TextRow,
  names: Readonly<Record<string, readonly string[]>>,
): Readonly<Record<string, number>> | null {
  const found: Record<string, number> = {}
  row.cells.forEach((cell, at) => {
    const word = cell.toLowerCase()
    for (const [name, words] of Object.entries(names)) if (words.includes(word)) found[name] ??= at
  })
  return Object.keys(found).length > 0 ? found : null
}

/**
 * Rows as CSV (RFC 4180, CRLF), with a mark at the start for programs that guess the encoding; cells that a
 * spreadsheet would run as a formula are quoted as text.
 */
export function printCells(rows: readonly (readonly string[])[]): string {
  return `\uFEFF${Papa.unparse(
    rows.map((r) => [...r]),
    { escapeFormulae: true, newline: '\r\n' },
  )}\r\n`
}
