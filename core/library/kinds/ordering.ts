import { joined, parted } from './cells'
import type { Option } from './fields'
import { partsOf } from './typed'
import { kind } from './kind'
import { areOptions, checkOptions, textOf } from './options'
import { mixed } from './mixed'

/**
 * Several steps are put in order; the points are shared over neighbours: each pair of steps that follow one another as
 * they should earns its part, so that one step in a wrong place costs little.
 */
export const ordering = kind({
  name: 'ordering',
  fields: { options: 'options', right: 'option-order' },
  answer: { order: 'option-order' },
  shown: ['options'],
  check: (item) => {
    const fault = checkOptions(item.options, item.right)
    if (fault) return fault
    if (item.right.length !== item.options.length) return { code: 'library/no-right-answer', field: 'right' }
    const tells = item.options.every((o, i) => o.id === item.right[i])
    return tells ? { code: 'library/order-tells-answer', field: 'options' } : null
  },
  fits: (item, { order }) => areOptions(item.options, order),
  score: (item, { order }) => {
    const next = new Map(item.right.map((id, i) => [id, item.right[i + 1]]))
    const hits = order.filter((id, i) => i + 1 < order.length && next.get(id) === order[i + 1]).length
    return (item.points * hits) / (item.right.length - 1)
  },
  isOmitted: ({ order }) => order.length === 0,
  inWords: (item, { order }) => order.map((id) => textOf(item.options, id)).join(' → '),
  chosen: () => [],
  right: () => [],
  rightInWords: (item) => inOrder(item).join(' → '),
  findings: () => [],
  saidAfter: ({ options }) => options.map((o) => o.text),
  linesOnPaper: () => 0,
  toTyped: (item) => ({ options: inOrder(item).join('\n') }),
  fromTyped: ({ text }) => orderingOf(partsOf(text('options'), /\n/)),
  toCells: (item) => ({ right: joined(inOrder(item)) }),
  fromCells: (cell) => orderingOf(parted(cell('right'))),
})

/** The steps' texts as they should stand. */
function inOrder(item: {
  readonly options: readonly Option[]
  readonly right: readonly string[]
}): readonly string[] {
  return item.right.map((id) => textOf(item.options, id))
}

/** The options and the key of an ordering whose texts are given in their right order. */
export function orderingOf(texts: readonly string[]) {
  const options = mixed(texts, 'a')
  return { options, right: texts.map((text) => options.find((o) => o.text === text)?.id ?? '') }
}
