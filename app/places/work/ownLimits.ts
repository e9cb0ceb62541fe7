import type { AttemptRules } from '#core/attempts'
import type { OwnLimits } from './draft'

/** What a learner's own limit may be of, as a number. */
export type LimitField = Exclude<keyof OwnLimits, 'help'>

/** Half as much again is what extra time usually is. */
const EXTRA_TIME = 1.5
const USUAL = { maxAttempts: 3, timeLimitMinutes: 30, waitMinutes: 10, passPercent: 50 } as const

/** With which number a limit of somebody's own begins: kinder than what holds for everybody, where that is one. */
export function kinderThan(rules: AttemptRules, field: LimitField): number {
  const { maxAttempts, timeLimitMinutes } = rules
  switch (field) {
    case 'maxAttempts':
      return maxAttempts === null ? USUAL[field] : maxAttempts + 1
    case 'timeLimitMinutes':
      return timeLimitMinutes === null ? USUAL[field] : Math.ceil(timeLimitMinutes * EXTRA_TIME)
    case 'waitMinutes':
    case 'passPercent':
      return USUAL[field]
  }
}
