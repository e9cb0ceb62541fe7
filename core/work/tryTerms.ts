import { readingTerms } from '../attempts'
import type { TryTerms } from '../attempts'
import type { LearnerWork } from './types'

/** A learner's own moments and limits as the attempt rules read them. */
export function tryTermsOf({ terms }: Pick<LearnerWork, 'terms'>, isRead: boolean): TryTerms {
  const { maxAttempts, timeLimitMinutes } = terms
  const of = { opensAt: terms.opens, dueAt: terms.due, closesAt: terms.closes, maxAttempts, timeLimitMinutes }
  return isRead ? readingTerms(of) : of
}
