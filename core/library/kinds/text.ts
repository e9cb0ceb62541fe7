import { joined, parted } from './cells'
import { tellsWord } from './findings'
import { partsOf } from './typed'
import { kind } from './kind'

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
  findings: ({ stem, accepted }) => tellsWord(stem, accepted),
  saidAfter: () => [],
  linesOnPaper: () => 1,
  toTyped: ({ accepted }) => ({ accepted: accepted.join('; ') }),
  fromTyped: ({ text }) => ({ accepted: partsOf(text('accepted'), /[;\n]/) }),
  toCells: ({ accepted }) => ({ right: joined(accepted) }),
  fromCells: (cell) => ({ accepted: parted(cell('right')) }),
})

/** Case, accents' composition and runs of spaces do not count. */
export function folded(text: string): string {
  return text.normalize('NFKC').toLowerCase().replace(/\s+/g, ' ').trim()
}
