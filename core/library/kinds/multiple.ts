import { cellsOfOptions, optionsInCells } from './cells'
import { idsTicked, optionsTicked } from './typed'
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
  findings: ({ options, right }) =>
    options.length > 0 && right.length === options.length ? [{ code: 'all-right' }] : [],
  saidAfter: ({ options }) => options.map((o) => o.text),
  linesOnPaper: () => 0,
  toTyped: () => ({}),
  fromTyped: (typed) => ({ options: optionsTicked(typed), right: idsTicked(typed) }),
  toCells: (item) => cellsOfOptions(item.options, item.right),
  fromCells: optionsInCells,
})
