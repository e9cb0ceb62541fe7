import { addMinutes, ok, refuse } from '../base'
import type { Instant, Minutes, Result } from '../base'
import type { AttemptRefusal } from './refusals'
import type { Attempt, TryTerms } from './types'

/** The limits of a piece that is only read: once, and as long as one likes. */
export function readingTerms(terms: TryTerms): TryTerms {
  return { ...terms, maxAttempts: 1, timeLimitMinutes: null }
}

/** From when a piece that is only read may be called done: its least time after it was opened. */
export function doneFrom(attempt: Pick<Attempt, 'startedAt'>, leastMinutes: Minutes): Instant {
  return addMinutes(attempt.startedAt, leastMinutes)
}

/** Whether a learner may say that they have read it. */
export function mayFinish(
  attempt: Pick<Attempt, 'startedAt'>,
  leastMinutes: Minutes,
  now: Instant,
): Result<true, AttemptRefusal> {
  const from = doneFrom(attempt, leastMinutes)
  return now < from ? refuse({ code: 'attempts/too-soon', field: 'attemptId', from }) : ok(true)
}
