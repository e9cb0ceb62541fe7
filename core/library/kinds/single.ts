import { cellsOfOptions, optionsInCells } from './cells'
import { tellsByLength } from './findings'
import { idsTicked, optionsTicked } from './typed'
import { kind } from './kind'
import { areOptions, checkOptions, textsOf } from './options'

/** One option is right; all or nothing. */
export const single = kind({
  name: 'single',
  fields: { options: 'options', right: 'option' },
  answer: { choice: 'option-or-none' },
  shown: ['options'],
  check: (item) => checkOptions(item.options, [item.right]),
  fits: (item, { choice }) => choice === null || areOptions(item.options, [choice]),
  score: (item, { choice }) => (choice === item.right ? item.points : 0),
  isOmitted: ({ choice }) => choice === null,
  inWords: (item, { choice }) => textsOf(item.options, choice === null ? [] : [choice]),
  chosen: ({ choice }) => (choice === null ? [] : [choice]),
  right: (item) => [item.right],
  rightInWords: (item) => textsOf(item.options, [item.right]),
  findings: (item) => (tellsByLength(item.options, [item.right]) ? [{ code: 'right-is-longest' }] : []),
  saidAfter: ({ options }) => options.map((o) => o.text),
  linesOnPaper: () => 0,
  toTyped: () => ({}),
  fromTyped: (typed) => ({ options: optionsTicked(typed), right: idsTicked(typed)[0] ?? '' }),
  toCells: (item) => cellsOfOptions(item.options, [item.right]),
  fromCells: (cell) => {
    const { options, right } = optionsInCells(cell)
    return { options, right: right[0] ?? '' }
  },
})
