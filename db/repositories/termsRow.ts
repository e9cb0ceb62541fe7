import type { LearnerTerms } from '#core/availability'
import type { Instant } from '#core/base'

/** Columns of `learner_work w` that a learner's own terms are made of, in the order of `TermsRow`. */
export const TERMS_COLUMNS = `w.listed_at, w.opens_at, w.due_at, w.closes_at, w.put_away_at, w.max_attempts,
    w.time_limit_minutes`

type At = Instant | null
export type TermsRow = readonly [
  listed: At,
  opens: At,
  due: At,
  closes: At,
  putAway: At,
  maxAttempts: number | null,
  timeLimitMinutes: number | null,
]

/** A learner's own terms, by the places of their columns. */
export function toTerms(row: TermsRow): LearnerTerms {
  const [listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes] = row
  return { listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes }
}
