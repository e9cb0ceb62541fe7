/** Letters that no text has: between them stands over how many columns and rows a cell goes. */
const [OPEN, CLOSE] = ['\uE0F2', '\uE0F3']
/** No cell of a real table goes further. */
const WIDEST = 30
const TALLEST = 200

/** What stands in a cell, on one line, and how far it goes. */
export function asCell(
  text: string,
  over: { readonly columns: string | null; readonly rows: string | null },
): string {
  const words = text.replace(/\s+/g, ' ').trim().replaceAll('|', '\\|')
  const spans = `${spanOf(over.columns, WIDEST)} ${spanOf(over.rows, TALLEST)}`
  return ` ${words}${spans === '1 1' ? '' : `${OPEN}${spans}${CLOSE}`} |`
}
function spanOf(said: string | null, most: number): number {
  const span = Math.floor(Number(said ?? 1))
  return span >= 1 ? Math.min(span, most) : 1
}

/**
 * Rows with pipes, the first one as the head: Markdown knows no table without one. A cell over several rows says its
 * words in each of them, one over several columns in the first. What stands beside the rows, such as a caption, stands
 * before the table.
 */
export function asTable(text: string): string {
  const lines = text.split('\n').map((line) => line.trim())
  const rows = lines.filter((line) => line.startsWith('|'))
  if (rows.length === 0) return text
  const words = lines.filter((line) => line !== '' && !line.startsWith('|')).join('\n')
  const [head = [], ...others] = laidOut(rows.map(cellsOf))
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  const table = [line(head), `|${' --- |'.repeat(head.length)}`, ...others.map(line)]
  return `\n\n${words === '' ? '' : `${words}\n\n`}${table.join('\n')}\n\n`
}

interface Cell {
  readonly words: string
  readonly columns: number
  readonly rows: number
}
const SPANS = new RegExp(`${OPEN}(\\d+) (\\d+)${CLOSE}$`)

/** The cells of a line; a bar behind a stroke is a letter. */
function cellsOf(line: string): readonly Cell[] {
  const texts = line.slice(1, line.endsWith('|') ? -1 : undefined).split(/(?<!\\)\|/)
  return texts.map((text) => {
    const [spans, columns = '1', rows = '1'] = SPANS.exec(text.trim()) ?? []
    const words = text
      .trim()
      .slice(0, spans ? -spans.length : undefined)
      .trim()
    return { words, columns: Number(columns), rows: Number(rows) }
  })
}

/** Every place of a table, cells that go over several of them laid out; all rows as wide as the widest. */
function laidOut(rows: readonly (readonly Cell[])[]): readonly (readonly string[])[] {
  const laid: string[][] = rows.map(() => [])
  for (const [r, cells] of rows.entries()) {
    let at = 0
    for (const { words, columns, rows: over } of cells) {
      while (laid[r]?.[at] !== undefined) at++
      for (const below of laid.slice(r, r + over)) {
        below[at] = words
        for (let beside = 1; beside < columns; beside++) below[at + beside] = ''
      }
      at += columns
    }
  }
  const width = Math.max(...laid.map((row) => row.length))
  return laid.map((row) => Array.from({ length: width }, (_, at) => row[at] ?? ''))
}
