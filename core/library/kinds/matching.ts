import { joined, parted } from './cells'
import { partsOf } from './typed'
import { kind } from './kind'
import { mixed } from './mixed'
import { checkOptions, textOf } from './options'

/** Each prompt gets its partner; points × prompts that have the right one ÷ prompts. Partners may be left over. */
export const matching = kind({
  name: 'matching',
  fields: { prompts: 'entries', partners: 'entries', right: 'pairs' },
  answer: { pairs: 'pairs' },
  shown: ['prompts', 'partners'],
  check: (item) => {
    const fault =
      checkOptions(
        item.prompts,
        item.prompts.map((p) => p.id),
      ) ?? checkOptions(item.partners, Object.values(item.right))
    if (fault) return fault
    if (!item.prompts.every((p) => p.id in item.right))
      return { code: 'library/no-right-answer', field: 'right' }
    const tells = item.prompts.every((p, i) => item.right[p.id] === item.partners[i]?.id)
    return tells ? { code: 'library/order-tells-answer', field: 'options' } : null
  },
  fits: (item, { pairs }) =>
    Object.entries(pairs).every(
      ([prompt, partner]) =>
        item.prompts.some((p) => p.id === prompt) && item.partners.some((p) => p.id === partner),
    ),
  score: (item, { pairs }) => {
    const hits = item.prompts.filter((p) => pairs[p.id] !== undefined && pairs[p.id] === item.right[p.id])
    return (item.points * hits.length) / item.prompts.length
  },
  isOmitted: ({ pairs }) => Object.keys(pairs).length === 0,
  inWords: (item, { pairs }) => inPairs(item, pairs),
  chosen: () => [],
  right: () => [],
  rightInWords: (item) => inPairs(item, item.right),
  findings: () => [],
  saidAfter: ({ prompts, partners }) => [...prompts, ...partners].map((o) => o.text),
  linesOnPaper: () => 0,
  toTyped: (item) => {
    const pairs = item.prompts.map((p) => `${p.text} = ${partnerOf(item, p.id)}`)
    return { prompts: [...pairs, ...leftOver(item).map((text) => `= ${text}`)].join('\n') }
  },
  fromTyped: ({ text }) => pairsTyped(text('prompts')),
  toCells: (item) => ({
    answers: joined(leftOver(item)),
    right: joined(item.prompts.flatMap((p) => [p.text, partnerOf(item, p.id)])),
  }),
  fromCells: (cell) => {
    const texts = parted(cell('right'))
    const pairs = texts.flatMap((text, i) => (i % 2 === 0 ? [[text, texts[i + 1] ?? ''] as const] : []))
    return matchingOf(pairs, parted(cell('answers')))
  },
})

type Entries = readonly { readonly id: string; readonly text: string }[]

function inPairs(
  { prompts, partners }: { readonly prompts: Entries; readonly partners: Entries },
  pairs: Readonly<Record<string, string>>,
): string {
  return prompts
    .flatMap(({ id, text }) => {
      const partner = pairs[id]
      return partner === undefined ? [] : [`${text}: ${textOf(partners, partner)}`]
    })
    .join('; ')
}

interface Pairing {
  readonly partners: Entries
  readonly right: Readonly<Record<string, string>>
}

/** The text of a prompt's right partner. */
function partnerOf({ partners, right }: Pairing, prompt: string): string {
  return textOf(partners, right[prompt] ?? '')
}

/** Partners that belong to nothing. */
function leftOver({ partners, right }: Pairing): readonly string[] {
  const used = new Set(Object.values(right))
  return partners.filter((p) => !used.has(p.id)).map((p) => p.text)
}

/** Lines such as 'echo = a reflected sound'; '= a light' is a partner of nothing. */
function pairsTyped(text: string) {
  const lines = partsOf(text, /\n/).map((line) => {
    const at = line.indexOf('=')
    const [left, right] = at < 0 ? [line, ''] : [line.slice(0, at), line.slice(at + 1)]
    return [left.trim(), right.trim()] as const
  })
  return matchingOf(
    lines.filter(([left]) => left !== ''),
    lines.flatMap(([left, right]) => (left === '' ? [right] : [])),
  )
}

/** Prompts, partners and key of a matching; `more` are partners that belong to nothing. */
export function matchingOf(
  pairs: readonly (readonly [prompt: string, partner: string])[],
  more: readonly string[] = [],
) {
  const partners = mixed([...pairs.map(([, partner]) => partner), ...more], 'p')
  const prompts = pairs.map(([text], i) => ({ id: String.fromCharCode(97 + i), text }))
  const right = Object.fromEntries(
    pairs.map(([, text], i) => [prompts[i]?.id ?? '', partners.find((p) => p.text === text)?.id ?? '']),
  )
  return { prompts, partners, right }
}
