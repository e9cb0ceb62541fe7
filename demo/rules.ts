import { LATER_RULES, READY_RULES } from '#core/attempts'
import type { AttemptRules } from '#core/attempts'
import type { DemoWork } from './scenario'

/** The rules that the demo's work has, by what it is for. */
export const RULES: Record<DemoWork['kind'], AttemptRules> = {
  check: {
    maxAttempts: 2,
    kept: 'best',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'shuffled',
    feedback: 'submission',
    answers: 'close',
    late: { percentPerDay: 10, per: 'instructional-day', floorPercent: 50 },
    ...LATER_RULES,
    help: ['calculator'],
  },
  practice: {
    maxAttempts: null,
    kept: 'latest',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'as-written',
    feedback: 'item',
    answers: 'submission',
    late: null,
    ...LATER_RULES,
    help: ['hints', 'calculator', 'worked-example', 'read-aloud'],
  },
  set: {
    maxAttempts: 2,
    kept: 'best',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'as-written',
    feedback: 'submission',
    answers: 'submission',
    late: null,
    ...LATER_RULES,
    help: ['hints', 'calculator'],
  },
  review: {
    maxAttempts: null,
    kept: 'best',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'shuffled',
    feedback: 'submission',
    answers: 'submission',
    late: null,
    ...LATER_RULES,
    items: {
      kind: 'drawn',
      again: 'new',
      shares: [
        { standard: null, hardness: 'easy', count: 2 },
        { standard: null, hardness: null, count: 3 },
      ],
    },
    help: ['calculator'],
    passPercent: 70,
  },
  // as hard as suits each learner, until it is known well enough how far they are
  search: {
    maxAttempts: null,
    kept: 'latest',
    waitMinutes: 0,
    timeLimitMinutes: null,
    order: 'as-written',
    feedback: 'item',
    answers: 'item',
    late: null,
    ...LATER_RULES,
    items: { kind: 'adaptive', most: 6, untilError: 0.8 },
    help: ['hints', 'calculator'],
  },
  test: READY_RULES.test,
}

/** Pages: filled in as often as one likes; what is measured has no key to show. */
export const PAGE: AttemptRules = {
  ...RULES.practice,
  feedback: 'submission',
  answers: 'never',
  help: ['calculator'],
}

/** Writing tasks: one text, with words and a check of one's own; another go is given by hand. */
export const WRITING: AttemptRules = READY_RULES.text
