import { shareOf, wholeOnes } from './accepted'
import { joined, parted } from './cells'
import { tellsWord } from './findings'
import { partsOf } from './typed'
import { kind } from './kind'

/** A word or two, one of those accepted (`accepted.ts`); case and spaces do not count. */
export const text = kind({
  name: 'text',
  fields: { accepted: 'lines' },
  answer: { text: 'line' },
  shown: [],
  check: (item) =>
    wholeOnes(item.accepted).some((a) => a.trim() !== '')
      ? null
      : { code: 'library/no-right-answer', field: 'right' },
  fits: () => true,
  score: (item, answer) => item.points * shareOf(item.accepted, answer.text),
  isOmitted: (answer) => answer.text.trim() === '',
  inWords: (_, { text }) => text,
  chosen: () => [],
  right: () => [],
  rightInWords: (item) => wholeOnes(item.accepted).join(' / '),
  findings: ({ stem, accepted }) => tellsWord(stem, wholeOnes(accepted)),
  saidAfter: () => [],
  linesOnPaper: () => 1,
  toTyped: ({ accepted }) => ({ accepted: accepted.join('; ') }),
  fromTyped: ({ text }) => ({ accepted: partsOf(text('accepted'), /[;\n]/) }),
  toCells: ({ accepted }) => ({ right: joined(accepted) }),
  fromCells: (cell) => ({ accepted: parted(cell('right')) }),
})
