import { joinedCells, KEY_COLUMNS, readingsOf } from '../../library'
import type { ItemKind } from '../../library'

const LETTERS = ['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h'] as const
const WORDS_FOR_ANSWER = ['answer', 'option', 'choice', 'antwort', 'réponse', 'respuesta', 'risposta']
/** What heads a column with one answer, as other programs have it. */
const headed = (letter: string, number: number): readonly string[] => [
  letter,
  ...WORDS_FOR_ANSWER.flatMap((word) => [`${word} ${letter}`, `${word} ${number}`, `${word}${number}`]),
]
const ANSWER_COLUMNS = {
  a: headed('a', 1),
  b: headed('b', 2),
  c: headed('c', 3),
  d: headed('d', 4),
  e: headed('e', 5),
  f: headed('f', 6),
  g: headed('g', 7),
  h: headed('h', 8),
}

const { answers, right, ...others } = KEY_COLUMNS

/** The columns of a table of questions, each with the names it may be headed by, in the order they are written. */
export const ITEM_COLUMNS = {
  kind: ['kind', 'type', 'question type', 'art', 'typ', 'fragetyp', 'type de question', 'tipo'],
  question: [
    ...[
      'question',
      'stem',
      'question text',
      'frage',
      'fragetext',
      'aufgabe',
      'énoncé',
      'pregunta',
      'domanda',
    ],
  ],
  answers: [...answers, 'antworten', 'réponses', 'respuestas'],
  right: [
    ...right,
    ...['correct answer', 'correct answers', 'answer', 'answer key', 'solution', 'lösung', 'richtig'],
    ...['richtige antwort', 'bonne réponse', 'respuesta correcta', 'corretta'],
  ],
  points: ['points', 'marks', 'point value', 'punkte', 'barème', 'puntos', 'punti'],
  standard: ['standard'],
  difficulty: ['difficulty', 'schwierigkeit', 'difficulté', 'dificultad'],
  feedback: ['feedback', 'explanation', 'erklärung', 'rückmeldung', 'explication'],
  hint: ['hint', 'hinweis', 'tipp', 'indice', 'pista'],
  ...others,
  ...ANSWER_COLUMNS,
} as const
export type ItemColumn = keyof typeof ITEM_COLUMNS
type Cell = (column: ItemColumn) => string

/** What kinds are called elsewhere. */
const KINDS: Readonly<Record<string, ItemKind | 'true-false'>> = {
  single: 'single',
  'multiple choice': 'single',
  mc: 'single',
  'single choice': 'single',
  'single answer': 'single',
  'one answer': 'single',
  multiple: 'multiple',
  'multiple response': 'multiple',
  'multiple answer': 'multiple',
  'multiple answers': 'multiple',
  'multiple select': 'multiple',
  mr: 'multiple',
  checkbox: 'multiple',
  'true/false': 'true-false',
  'true false': 'true-false',
  tf: 'true-false',
  't/f': 'true-false',
  'yes/no': 'true-false',
  'richtig/falsch': 'true-false',
  numeric: 'numeric',
  number: 'numeric',
  numerical: 'numeric',
  zahl: 'numeric',
  text: 'text',
  'short answer': 'text',
  'short text': 'text',
  word: 'text',
  kurzantwort: 'text',
  ordering: 'ordering',
  order: 'ordering',
  sequence: 'ordering',
  reihenfolge: 'ordering',
  matching: 'matching',
  match: 'matching',
  zuordnung: 'matching',
  blanks: 'blanks',
  'fill in the blank': 'blanks',
  'fill in the blanks': 'blanks',
  cloze: 'blanks',
  lückentext: 'blanks',
  extended: 'extended',
  essay: 'extended',
  'long answer': 'extended',
  'open ended': 'extended',
  aufsatz: 'extended',
}
const TRUE = /^(?:true|t|yes|y|wahr|richtig|ja|vrai|oui|verdadero|vero|sí|1)$/i
const FALSE = /^(?:false|f|no|n|falsch|nein|faux|non|falso|0)$/i

/** A row's kind, and its key in the cells that a kind reads; null: there is no such kind. */
export function readCells(cell: Cell): { readonly kind: ItemKind; readonly cell: Cell } | null {
  const named = cell('kind').toLowerCase().replace(/[_-]+/g, ' ').replace(/\s+/g, ' ').trim()
  const options = LETTERS.map((letter) => cell(letter)).filter((text) => text !== '')
  const kind = named === '' ? kindBy(cell, options) : (KINDS[named] ?? null)
  if (kind === null) return null
  if (kind === 'true-false') return trueFalse(cell, options)
  const isChoice = kind === 'single' || kind === 'multiple'
  if (options.length === 0) return { kind, cell: isChoice ? withKeys(cell) : cell }
  if (isChoice) return { kind, cell: withCells(cell, options, chosenBy(cell('right'), options)) }
  if (kind === 'ordering') {
    const order = cell('right') === '' ? options : chosenBy(cell('right'), options)
    return { kind, cell: withCells(cell, [], order) }
  }
  // answers of a kind without options are all right
  return { kind, cell: cell('right') === '' ? withCells(cell, [], options) : cell }
}

/** The kind of a row that names none, by what is filled in. */
function kindBy(cell: Cell, options: readonly string[]): ItemKind | 'true-false' {
  const key = cell('right')
  const all = options.length > 0 ? options : cell('answers') === '' ? [] : ['some']
  if (all.length > 0) return options.length > 0 && chosenBy(key, options).length > 1 ? 'multiple' : 'single'
  if (/^(?:true|false|wahr|falsch|vrai|faux)$/i.test(key)) return 'true-false'
  if (key === '') return 'extended'
  return readingsOf(key, cell('unit')).length > 0 ? 'numeric' : 'text'
}

function trueFalse(cell: Cell, options: readonly string[]) {
  const [yes = 'True', no = 'False'] = options
  const key = cell('right')
  const right =
    options.length === 2 ? chosenBy(key, options) : TRUE.test(key) ? [yes] : FALSE.test(key) ? [no] : []
  const known = right.length > 0 ? right : TRUE.test(key) ? [yes] : FALSE.test(key) ? [no] : []
  return { kind: 'single' as const, cell: withCells(cell, [yes, no], known) }
}

/** The options that a key names: by their words, or by letters or numbers such as `B`, `1; 3` or `b, d`. */
function chosenBy(key: string, options: readonly string[]): readonly string[] {
  const same = (a: string, b: string) => a.trim().toLowerCase() === b.trim().toLowerCase()
  const whole = options.find((text) => same(text, key))
  if (whole !== undefined) return [whole]
  const parts = key
    .split(/[|;,]/)
    .map((part) => part.trim())
    .filter((part) => part !== '')
  const found = parts.map((part) => options.find((text) => same(text, part)) ?? options[placeOf(part)] ?? '')
  // what names no option is kept as it is: the item is refused for it
  return found.map((text, i) => text || (parts[i] ?? ''))
}

function placeOf(part: string): number {
  const [, letter = '', number = ''] = /^\(?(?:([a-hA-H])|([1-8]))[).]?$/.exec(part) ?? []
  return letter === ''
    ? Number(number || Number.NaN) - 1
    : LETTERS.findIndex((l) => l === letter.toLowerCase())
}

/** Options in one cell, whose key may be letters or numbers, too. */
function withKeys(cell: Cell): Cell {
  const options = cell('answers')
    .split('|')
    .map((text) => text.trim())
    .filter((text) => text !== '')
  if (cell('answers').includes('\\') || options.length === 0) return cell
  const right = cell('right')
  const isByWords = right.split('|').every((part) => options.includes(part.trim()))
  return isByWords ? cell : withCells(cell, options, chosenBy(right, options))
}

function withCells(cell: Cell, options: readonly string[], right: readonly string[]): Cell {
  const made: Partial<Record<ItemColumn, string>> = {
    answers: joinedCells(options),
    right: joinedCells(right),
  }
  return (column) => made[column] ?? cell(column)
}
