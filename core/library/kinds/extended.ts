import { countIn } from './cells'
import { readNumber } from './readNumber'
import { kind } from './kind'

/** Several sentences, read and scored by the teacher. `guide` says what earns the points; learners do not see it. */
export const extended = kind({
  name: 'extended',
  fields: {
    leastWords: 'word-count',
    mostWords: 'word-count',
    leastParagraphs: 'paragraph-count',
    guide: 'prose',
  },
  answer: { text: 'prose' },
  shown: ['leastWords', 'mostWords', 'leastParagraphs'],
  check: ({ leastWords, mostWords }) =>
    mostWords > 0 && mostWords < leastWords ? { code: 'library/bad-word-range', field: 'mostWords' } : null,
  fits: () => true,
  score: () => 0,
  isByHand: true,
  isOmitted: ({ text }) => text.trim() === '',
  inWords: (_, { text }) => text.trim(),
  chosen: () => [],
  right: () => [],
  rightInWords: ({ guide }) => guide,
  findings: ({ guide }) => (guide.trim() === '' ? [{ code: 'no-guide' }] : []),
  saidAfter: () => [],
  // about seven words to a line of handwriting
  linesOnPaper: ({ leastWords }) => Math.max(6, Math.ceil(leastWords / 7)),
  toTyped: ({ leastWords, mostWords, leastParagraphs, guide }) => ({
    leastWords: String(leastWords),
    mostWords: String(mostWords),
    leastParagraphs: String(leastParagraphs),
    guide,
  }),
  fromTyped: ({ text }) => {
    const count = (name: string) => readNumber(text(name), '') ?? 0
    return {
      leastWords: count('leastWords'),
      mostWords: count('mostWords'),
      leastParagraphs: count('leastParagraphs'),
      guide: text('guide'),
    }
  },
  toCells: ({ leastWords, mostWords, leastParagraphs, guide }) => ({
    answers: guide,
    words: String(leastWords),
    mostwords: String(mostWords),
    paragraphs: String(leastParagraphs),
  }),
  fromCells: (cell) => ({
    leastWords: countIn(cell('words')),
    mostWords: countIn(cell('mostwords')),
    leastParagraphs: countIn(cell('paragraphs')),
    guide: cell('answers'),
  }),
})

/** Words of a text, by spaces. */
export function wordsIn(text: string): number {
  return text.trim() === '' ? 0 : text.trim().split(/\s+/).length
}
