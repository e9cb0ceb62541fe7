import { kind, pick } from './kind'

/** A word or two, one of those accepted; case and spaces do not count; all or nothing. */
export const text = kind({
  name: 'text',
  fields: { accepted: 'lines' },
  answer: { text: 'line' },
  shown: [],
  check: (item) =>
    item.accepted.some((a) => a.trim() !== '') ? null : { code: 'library/no-right-answer', field: 'right' },
  fits: () => true,
  score: (item, answer) => {
    const given = folded(answer.text)
    return given !== '' && item.accepted.some((a) => folded(a) === given) ? item.points : 0
  },
  isOmitted: (answer) => answer.text.trim() === '',
  inWords: (_, { text }) => text,
  chosen: () => [],
  right: () => [],
  rightInWords: (item) => item.accepted.join(' / '),
  example: (item, isRight, random) => ({
    kind: 'text',
    text: isRight ? (item.accepted[0] ?? '') : pick(['not sure', 'motion', 'speed', 'particles'], random),
  }),
})

/** Case, accents' composition and runs of spaces do not count. */
export function folded(text: string): string {
  return text.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim()
}
