import { asId, ok, refuse } from '../../base'
import type { ItemId, Result } from '../../base'
import { blanksAsTyped, blanksOf, faultOf, matchingOf, orderingOf, readNumber } from '../../library'
import type { Item, ItemKind } from '../../library'
import { ITEM_KINDS } from '../../library'
import { asMeant, headings, parseCells, printCells } from '../csv'
import type { FormatRefusal } from '../refusals'
import { plainPiece } from './plainPiece'
import { NO_BOOK } from './types'
import type { ShelfReading, ShelfRow, Shortfall } from './types'

const COLUMNS = {
  kind: ['kind', 'type'],
  question: ['question', 'stem'],
  answers: ['answers', 'options'],
  right: ['right', 'key', 'correct'],
  points: ['points'],
  standard: ['standard'],
  difficulty: ['difficulty'],
  feedback: ['feedback'],
  hint: ['hint'],
  tolerance: ['tolerance'],
  unit: ['unit'],
  words: ['words'],
  mostwords: ['mostwords', 'most words'],
  paragraphs: ['paragraphs'],
} as const
type Column = keyof typeof COLUMNS
const ORDER = Object.keys(COLUMNS) as readonly Column[]
type Row = Readonly<Record<Column, string>>

/** Several texts in one cell, parted by bars; a bar within a text has a backslash before it. */
function joined(texts: readonly string[]): string {
  return texts.map((text) => text.replaceAll('\\', '\\\\').replaceAll('|', '\\|')).join(' | ')
}
function parted(cell: string): readonly string[] {
  const letters = cell.match(/\\[\s\S]|[\s\S]/g) ?? []
  const texts = letters.reduce<readonly string[]>(
    (done, letter) => {
      if (letter === '|') return [...done, '']
      const last = done.at(-1) ?? ''
      return [...done.slice(0, -1), last + letter.replace(/^\\(?=[\s\S])/, '')]
    },
    [''],
  )
  return texts.map((text) => text.trim()).filter((text) => text !== '')
}

/** A bank of items as CSV, one row an item, with headings. What is read of it again is the same. */
export function printItems(items: readonly Item[]): string {
  return printCells([[...ORDER], ...items.map((item) => ORDER.map((column) => rowOf(item)[column]))])
}

function rowOf(item: Item): Row {
  const plain: Row = {
    kind: item.kind,
    question: item.stem,
    answers: '',
    right: '',
    points: String(item.points),
    standard: item.standard ?? '',
    difficulty: String(item.difficulty),
    feedback: item.feedback,
    hint: item.hint,
    tolerance: '',
    unit: '',
    words: '',
    mostwords: '',
    paragraphs: '',
  }
  return { ...plain, ...keyOf(item) }
}

function keyOf(item: Item): Partial<Row> {
  switch (item.kind) {
    case 'single':
    case 'multiple': {
      const right: readonly string[] = item.kind === 'single' ? [item.right] : item.right
      const texts = (ids: readonly string[]) =>
        item.options.filter((o) => ids.includes(o.id)).map((o) => o.text)
      return { answers: joined(item.options.map((o) => o.text)), right: joined(texts(right)) }
    }
    case 'numeric':
      return { right: String(item.value), tolerance: String(item.tolerance), unit: item.unit }
    case 'text':
      return { right: joined(item.accepted) }
    case 'ordering':
      return { right: joined(item.right.map((id) => item.options.find((o) => o.id === id)?.text ?? '')) }
    case 'matching': {
      const partner = (id: string) => item.partners.find((p) => p.id === id)?.text ?? ''
      const used = new Set(Object.values(item.right))
      return {
        answers: joined(item.partners.filter((p) => !used.has(p.id)).map((p) => p.text)),
        right: joined(item.prompts.flatMap((p) => [p.text, partner(item.right[p.id] ?? '')])),
      }
    }
    case 'blanks':
      return { answers: blanksAsTyped(item) }
    case 'extended':
      return {
        answers: item.guide,
        words: String(item.leastWords),
        mostwords: String(item.mostWords),
        paragraphs: String(item.leastParagraphs),
      }
  }
}

/**
 * Reads a bank of items (CSV; the columns that `printItems` writes, in any order; comma, semicolon, tab or bar between
 * them). Rows that cannot be answered or scored are named with their line and left out.
 */
export function parseItems(text: string, title: string): Result<ShelfReading, FormatRefusal> {
  const cells = parseCells(text)
  if (!cells.ok) return cells
  const [first, ...data] = cells.value
  const at = first ? headings<Column>(first, COLUMNS, ['kind', 'question']) : null
  if (at?.kind === undefined || at.question === undefined)
    return refuse({ code: 'formats/no-item-headings', field: 'text' })
  const items: Item[] = []
  const rows = data.map(({ line, cells: row }): ShelfRow => {
    const cell = (column: Column) => asMeant(row[at[column] ?? -1] ?? '')
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
  const item = { ...base, ...keyFrom(kind, cell) } as Item
  const fault = faultOf(item, number)
  return fault ? { code: 'cannot-be-answered', why: fault.code } : item
}

const countIn = (cell: string) => Math.max(0, Math.round(Number(cell) || 0))

function keyFrom(kind: ItemKind, cell: (column: Column) => string) {
  switch (kind) {
    case 'single':
    case 'multiple': {
      const options = parted(cell('answers')).map((text, i) => ({ id: 'abcdefghijkl'[i] ?? '', text }))
      const right = parted(cell('right')).map((text) => options.find((o) => o.text === text)?.id ?? '')
      return { kind, options, right: kind === 'single' ? (right[0] ?? '') : right }
    }
    case 'numeric': {
      const [value, tolerance] = [readNumber(cell('right'), ''), readNumber(cell('tolerance') || '0', '')]
      return { kind, value: value ?? Number.NaN, tolerance: tolerance ?? Number.NaN, unit: cell('unit') }
    }
    case 'text':
      return { kind, accepted: parted(cell('right')) }
    case 'ordering':
      return { kind, ...orderingOf(parted(cell('right'))) }
    case 'matching': {
      const texts = parted(cell('right'))
      const pairs = texts.flatMap((text, i) => (i % 2 === 0 ? [[text, texts[i + 1] ?? ''] as const] : []))
      return { kind, ...matchingOf(pairs, parted(cell('answers'))) }
    }
    case 'blanks':
      return { kind, ...blanksOf(cell('answers')) }
    case 'extended':
      return {
        kind,
        leastWords: countIn(cell('words')),
        mostWords: countIn(cell('mostwords')),
        leastParagraphs: countIn(cell('paragraphs')),
        guide: cell('answers'),
      }
  }
}
