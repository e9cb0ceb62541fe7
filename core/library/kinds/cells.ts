import type { Option } from './fields'

/** Columns of a table of questions that hold keys, each with the names it may be headed by. */
export const KEY_COLUMNS = {
  answers: ['answers', 'options'],
  right: ['right', 'key', 'correct'],
  tolerance: ['tolerance'],
  unit: ['unit'],
  words: ['words'],
  mostwords: ['mostwords', 'most words'],
  paragraphs: ['paragraphs'],
} as const
export type KeyColumn = keyof typeof KEY_COLUMNS
export type Cells = Readonly<Partial<Record<KeyColumn, string>>>
/** The text of a cell; empty where the table has no such column. */
export type ReadCell = (column: KeyColumn) => string

/** Several texts in one cell, parted by bars; a bar within a text has a backslash before it. */
export function joined(texts: readonly string[]): string {
  return texts.map((text) => text.replaceAll('\\', '\\\\').replaceAll('|', '\\|')).join(' | ')
}

/** The texts that `joined` wrote. */
export function parted(cell: string): readonly string[] {
  const texts = ['']
  for (const letter of cell.match(/\\[\s\S]|[\s\S]/g) ?? []) {
    if (letter === '|') texts.push('')
    else texts[texts.length - 1] += letter.replace(/^\\(?=[\s\S])/, '')
  }
  return texts.map((text) => text.trim()).filter((text) => text !== '')
}

/** A whole number from 0; anything else counts as 0. */
export function countIn(cell: string): number {
  return Math.max(0, Math.round(Number(cell) || 0))
}

/** Options and the right ones among them, by their texts. */
export function cellsOfOptions(options: readonly Option[], right: readonly string[]): Cells {
  const rights = options.filter((o) => right.includes(o.id))
  return { answers: joined(options.map((o) => o.text)), right: joined(rights.map((o) => o.text)) }
}

/** The options of a row and the ids of those that are right; empty for a text that is no option. */
export function optionsInCells(cell: ReadCell) {
  const options = parted(cell('answers')).map((text, i) => ({ id: 'abcdefghijkl'[i] ?? '', text }))
  const right = parted(cell('right')).map((text) => options.find((o) => o.text === text)?.id ?? '')
  return { options, right }
}
