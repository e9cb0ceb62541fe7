import { keptScore } from '../attempts'
import type { Attempt, Kept } from '../attempts'
import { groupBy } from '../base'
import type { UserId } from '../base'

/**
 * How far some learners are with an assignment: counts of learners, and the mean of the scores that count.
 */
export interface Progress {
  readonly learners: number
  readonly handedIn: number
  readonly inProgress: number
  /** Share of all points, 0 to 1; null while nobody has handed in. */
  readonly meanRatio: number | null
}

/** How far these learners are; tries of others do not count. */
export function progressOf(learnerIds: readonly UserId[], tries: readonly Attempt[], kept: Kept): Progress {
  const among = new Set(learnerIds)
  const own = tries.filter((t) => among.has(t.learnerId))
  const done = groupBy(
    own.filter((t) => t.submittedAt !== null),
    (t) => t.learnerId,
  )
  const ratios = [...done.values()].flatMap((list) => keptScore(list, kept) ?? [])
  const sum = ratios.reduce((a, b) => a + b, 0)
  return {
    learners: learnerIds.length,
    handedIn: done.size,
    inProgress: new Set(own.filter((t) => t.submittedAt === null).map((t) => t.learnerId)).size,
    meanRatio: ratios.length === 0 ? null : sum / ratios.length,
  }
}
