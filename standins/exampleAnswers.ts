import { shuffled } from '#core/base'
import type { Random } from '#core/base'
import { answerFieldOf, blanksIn, optionsOf, rightOptions } from '#core/library'
import type { Answer, AnswerType, FieldTypes, Item } from '#core/library'

type Example<Type extends AnswerType> = (item: Item, isRight: boolean, random: Random) => FieldTypes[Type]

/** One of the values, each as likely. */
function pick<T>(values: readonly T[], random: Random): T {
  return values[Math.floor(random() * values.length)] as T
}

const RIGHT_TEXT =
  'It takes both measurements, says why they belong together, and ends with what follows from them.'
const LIKELY_TEXTS = [
  'I think it gets bigger because there is more of it.',
  'We measured it twice and the second one was slower, so the weight does not matter but the length does.',
  'The wave moves and the water stays, you can see it with the cork.',
]
const LIKELY_WORDS = ['not sure', 'motion', 'speed', 'particles']

/** A value of what is right, near enough to what somebody would think. */
function likelyNumber(value: number, random: Random): number {
  return Number((value * pick([0.1, 0.5, 2, 10], random) + (value === 0 ? 1 : 0)).toPrecision(3))
}

/** What somebody might give, by what an answer holds: something right, or a likely mistake. */
const EXAMPLES: { readonly [Type in AnswerType]: Example<Type> } = {
  'option-or-none': (item, isRight, random) => {
    const [right = null] = rightOptions(item)
    if (isRight) return right
    return pick(
      optionsOf(item).filter((o) => o.id !== right),
      random,
    ).id
  },
  'option-set': (item, isRight, random) => {
    const right = rightOptions(item)
    if (isRight) return right
    const isTicked = (id: string) => (right.includes(id) ? random() < 0.7 : random() < 0.35)
    return optionsOf(item)
      .map((o) => o.id)
      .filter(isTicked)
  },
  'typed-number': (item, isRight, random) => {
    const value = 'value' in item ? item.value : 0
    return String(isRight ? value : likelyNumber(value, random))
  },
  line: (item, isRight, random) => {
    const [right = ''] = item.kind === 'text' ? item.accepted : []
    return isRight ? right : pick(LIKELY_WORDS, random)
  },
  'option-order': (item, isRight, random) => {
    const right = item.kind === 'ordering' ? item.right : []
    return isRight ? right : shuffled(right, random)
  },
  pairs: (item, isRight, random) => {
    if (item.kind !== 'matching') return {}
    if (isRight) return item.right
    return Object.fromEntries(item.prompts.map((p) => [p.id, pick(item.partners, random).id]))
  },
  'words-in-blanks': (item, isRight, random) => {
    if (item.kind !== 'blanks') return {}
    return Object.fromEntries(
      blanksIn(item.passage).map((blank) => {
        const right = item.accepted[blank]?.[0] ?? ''
        return [blank, isRight ? right : pick([right, 'motion', 'speed', ''], random)]
      }),
    )
  },
  prose: (_, isRight, random) => (isRight ? RIGHT_TEXT : pick(LIKELY_TEXTS, random)),
}

/** An answer that a made-up learner gives: a right one, or a likely wrong one. */
export function exampleAnswer(item: Item, isRight: boolean, random: Random): Answer {
  const { name, type } = answerFieldOf(item.kind)
  return { kind: item.kind, [name]: EXAMPLES[type](item, isRight, random) } as Answer
}
