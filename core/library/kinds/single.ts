import { kind, pick } from './kind'
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
  example: (item, isRight, random) => ({
    kind: 'single',
    choice: isRight
      ? item.right
      : pick(
          item.options.filter((o) => o.id !== item.right),
          random,
        ).id,
  }),
})
