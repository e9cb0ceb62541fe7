import { shareOf, wholeOnes } from './accepted'
import { tellsWord } from './findings'
import { kind } from './kind'

const BLANK = /\[(\d{1,2})\]/g

/**
 * Words are missing in a text; points × what each blank earns (`accepted.ts`) ÷ blanks. Case and spaces do not count.
 */
export const blanks = kind({
  name: 'blanks',
  fields: { passage: 'passage', accepted: 'accepted-in-blanks' },
  answer: { words: 'words-in-blanks' },
  shown: ['passage'],
  check: ({ passage, accepted }) => {
    const numbers = blanksIn(passage)
    if (numbers.length === 0) return { code: 'library/no-blank', field: 'passage' }
    const hasKey = (n: string) => wholeOnes(accepted[n] ?? []).some((word) => word.trim() !== '')
    const isOnce = new Set(numbers).size === numbers.length
    return isOnce && numbers.every(hasKey) ? null : { code: 'library/no-right-answer', field: 'right' }
  },
  fits: ({ passage }, { words }) => {
    const numbers = blanksIn(passage)
    return Object.keys(words).every((n) => numbers.includes(n))
  },
  score: (item, { words }) => {
    const numbers = blanksIn(item.passage)
    const earned = numbers.reduce((sum, n) => sum + shareOf(item.accepted[n] ?? [], words[n] ?? ''), 0)
    return (item.points * earned) / numbers.length
  },
  isOmitted: ({ words }) => Object.values(words).every((word) => word.trim() === ''),
  inWords: ({ passage }, { words }) =>
    blanksIn(passage)
      .map((n) => words[n]?.trim() || '…')
      .join(', '),
  chosen: () => [],
  right: () => [],
  rightInWords: ({ passage, accepted }) =>
    blanksIn(passage)
      .map((n) => wholeOnes(accepted[n] ?? []).join(' / '))
      .join(', '),
  findings: ({ stem, passage, accepted }) =>
    tellsWord(`${stem} ${passage}`, wholeOnes(Object.values(accepted).flat())),
  saidAfter: ({ passage }) => [passage.replace(BLANK, '…')],
  linesOnPaper: () => 0,
  toTyped: (item) => ({ passage: blanksAsTyped(item) }),
  fromTyped: ({ text }) => blanksOf(text('passage')),
  toCells: (item) => ({ answers: blanksAsTyped(item) }),
  fromCells: (cell) => blanksOf(cell('answers')),
})

/** The numbers of a passage's blanks, in the order in which they stand. */
export function blanksIn(passage: string): readonly string[] {
  return [...passage.matchAll(BLANK)].map(([, n = '']) => n)
}

export type PassagePart = { readonly text: string } | { readonly blank: string }

/** A passage cut at its blanks: text, blank, text … */
export function passageParts(passage: string): readonly PassagePart[] {
  return passage
    .split(/(\[\d{1,2}\])/)
    .filter((part) => part !== '')
    .map((part): PassagePart => {
      const [, blank] = /^\[(\d{1,2})\]$/.exec(part) ?? []
      return blank === undefined ? { text: part } : { blank }
    })
}

/**
 * Reads a text in which the accepted words stand in brackets where they are missing.
 * @example 'A wave carries [energy | the energy].' gives 'A wave carries [1].' with 1: energy, the energy.
 */
export function blanksOf(text: string) {
  const accepted: Record<string, readonly string[]> = {}
  const passage = text.replace(/\[([^[\]]*)\]/g, (_, inside: string) => {
    const n = String(Object.keys(accepted).length + 1)
    accepted[n] = inside
      .split('|')
      .map((word) => word.trim())
      .filter((word) => word !== '')
    return `[${n}]`
  })
  return { passage, accepted }
}

/** The text that `blanksOf` reads. */
export function blanksAsTyped(item: {
  readonly passage: string
  readonly accepted: Readonly<Record<string, readonly string[]>>
}): string {
  return item.passage.replace(BLANK, (_, n: string) => `[${(item.accepted[n] ?? []).join(' | ')}]`)
}
