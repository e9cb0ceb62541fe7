import { kind, pick } from './kind'

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
  example: (_, isRight, random) => ({
    kind: 'extended',
    text: isRight ? RIGHT : pick(LIKELY, random),
  }),
})

const RIGHT =
  'It takes both measurements, says why they belong together, and ends with what follows from them.'
const LIKELY = [
  'I think it gets bigger because there is more of it.',
  'We measured it twice and the second one was slower, so the weight does not matter but the length does.',
  'The wave moves and the water stays, you can see it with the cork.',
]

/** Words of a text, by spaces. */
export function wordsIn(text: string): number {
  return text.trim() === '' ? 0 : text.trim().split(/\s+/).length
}
