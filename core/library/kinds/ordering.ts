import { kind } from './kind'
import { areOptions, checkOptions, textOf } from './options'
import { mixed } from './mixed'
import { shuffled } from '../../base'

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
  rightInWords: (item) => item.right.map((id) => textOf(item.options, id)).join(' → '),
  example: (item, isRight, random) => ({
    kind: 'ordering',
    order: isRight ? item.right : shuffled(item.right, random),
  }),
})

/** The options and the key of an ordering whose texts are given in their right order. */
export function orderingOf(texts: readonly string[]) {
  const options = mixed(texts, 'a')
  return { options, right: texts.map((text) => options.find((o) => o.text === text)?.id ?? '') }
}
