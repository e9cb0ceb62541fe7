import { kind } from './kind'
import { areOptions, checkOptions, textsOf } from './options'

/** Several options are right; (right chosen − wrong chosen) ÷ right ones of the points, never below zero. */
export const multiple = kind({
  name: 'multiple',
  fields: { options: 'options', right: 'option-set' },
  answer: { choices: 'option-set' },
  shown: ['options'],
  check: (item) => checkOptions(item.options, item.right),
  fits: (item, { choices }) => areOptions(item.options, choices),
  score: (item, { choices }) => {
    const chosen = new Set(choices)
    const right = new Set(item.right)
    const hits = [...right].filter((id) => chosen.has(id)).length
    return (item.points * Math.max(0, hits - (chosen.size - hits))) / right.size
  },
  isOmitted: ({ choices }) => choices.length === 0,
  inWords: (item, { choices }) => textsOf(item.options, choices),
  chosen: ({ choices }) => choices,
  right: (item) => item.right,
  rightInWords: (item) => textsOf(item.options, item.right),
  example: (item, isRight, random) => {
    const likely = () =>
      item.options
        .filter((o) => (item.right.includes(o.id) ? random() < 0.7 : random() < 0.35))
        .map((o) => o.id)
    return { kind: 'multiple', choices: isRight ? item.right : likely() }
  },
})
