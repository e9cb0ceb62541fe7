import { cardOfKind } from '../library'
import type { ResourceKind, RulesLike } from '../library'
import { LATER_RULES } from './types'
import type { AttemptRules } from './types'

export const READY_KEYS = ['two', 'practice', 'text', 'test'] as const
export type ReadyKey = (typeof READY_KEYS)[number]

/** What all ready rules have in common. */
const PLAIN = { waitMinutes: 0, timeLimitMinutes: null, late: null, ...LATER_RULES } as const

/** Rules that come with the app, by what they are for. */
export const READY_RULES: Readonly<Record<ReadyKey, AttemptRules>> = {
  two: {
    ...PLAIN,
    maxAttempts: 2,
    kept: 'best',
    order: 'shuffled',
    feedback: 'submission',
    answers: 'close',
    help: ['calculator'],
  },
  practice: {
    ...PLAIN,
    maxAttempts: null,
    kept: 'latest',
    order: 'as-written',
    feedback: 'item',
    answers: 'submission',
    help: ['hints', 'calculator', 'read-aloud', 'spelling', 'expected-words', 'own-check', 'worked-example'],
  },
  text: {
    ...PLAIN,
    maxAttempts: 1,
    kept: 'best',
    order: 'as-written',
    feedback: 'submission',
    answers: 'never',
    help: ['spelling', 'expected-words', 'own-check'],
  },
  test: {
    ...PLAIN,
    maxAttempts: 1,
    kept: 'first',
    timeLimitMinutes: 40,
    order: 'shuffled',
    feedback: 'close',
    answers: 'close',
  },
}

const READY_FOR: Record<RulesLike, ReadyKey> = {
  test: 'test',
  check: 'two',
  practice: 'practice',
  text: 'text',
}

/** The ready rules with which a piece of a kind begins. */
export function readyRulesFor(kind: ResourceKind): ReadyKey {
  return READY_FOR[cardOfKind(kind).rulesLike]
}
