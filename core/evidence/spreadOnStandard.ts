import type { Instant, UserId } from '../base'
import { bandOf } from './band'
import type { Band } from './band'
import type { StandingOnStandard } from './standingOnStandards'

/** Where a class stands on one standard: who is in which band, and who has not met it. Everybody is in one place. */
export interface SpreadOnStandard {
  readonly who: Readonly<Record<Band | 'unseen', readonly UserId[]>>
  /** Mean of the learners' shares; null: nobody has met it. */
  readonly mean: number | null
  readonly lastAt: Instant | null
}

/** How the learners of a class spread on a standard, in their order. */
export function spreadOnStandard(
  learnerIds: readonly UserId[],
  standingOf: (learnerId: UserId) => StandingOnStandard | undefined,
): SpreadOnStandard {
  const who: Record<Band | 'unseen', UserId[]> = { low: [], middle: [], high: [], unseen: [] }
  const seen: StandingOnStandard[] = []
  for (const id of learnerIds) {
    const standing = standingOf(id)
    who[standing ? bandOf(standing.share) : 'unseen'].push(id)
    if (standing) seen.push(standing)
  }
  return {
    who,
    mean: seen.length === 0 ? null : seen.reduce((sum, s) => sum + s.share, 0) / seen.length,
    lastAt: seen.reduce<Instant | null>(
      (last, s) => (last === null || s.lastAt > last ? s.lastAt : last),
      null,
    ),
  }
}
