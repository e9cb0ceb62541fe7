import type { AttemptScore } from '../attempts'
import { groupBy } from '../base'
import { bandOf } from '../evidence'
import type { Item } from '../library'
import { NO_STANDARD } from './types'
import type { FollowUpLearner, OnStandard } from './types'

/** A try, as far as its points by standard go. */
interface ScoredTry {
  readonly score: Pick<AttemptScore, 'items'>
  readonly items: readonly Pick<Item, 'id' | 'standard'>[]
}

/** How some tries of one learner did on each standard of their items, in order. What waits to be scored is left out. */
export function onStandards(tries: readonly ScoredTry[]): readonly OnStandard[] {
  const asked = tries.flatMap(({ score, items }) => {
    const scoreOf = new Map(score.items.map((s) => [s.itemId, s]))
    return items.flatMap(({ id, standard }) => {
      const earned = scoreOf.get(id)
      const counts = earned !== undefined && !earned.waits && earned.of > 0
      return counts ? [{ code: standard ?? NO_STANDARD, points: earned.points, of: earned.of }] : []
    })
  })
  return [...groupBy(asked, (a) => a.code)].map(([code, of]) => ({
    code,
    missed: of.filter((a) => a.points < a.of).length,
    items: of.length,
    share: sum(of.map((a) => a.points)) / sum(of.map((a) => a.of)),
  }))
}

const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)

/** What of it is to be answered: below the highest band, what is surest to be weak first. */
export function missedOf(on: readonly OnStandard[]): readonly OnStandard[] {
  return on
    .filter(({ missed, share }) => missed > 0 && bandOf(share) !== 'high')
    .toSorted((a, b) => atBest(a) - atBest(b) || a.share - b.share)
}

/**
 * How a learner stands now on what a check asked for: as they did since, else as in the check. Who was given something
 * on a standard and has not been asked for it since is left to that.
 */
export function standingNow({
  on,
  given,
  since,
}: Pick<FollowUpLearner, 'on' | 'given' | 'since'>): readonly OnStandard[] {
  const isGiven = new Set(given)
  const sinceOf = new Map(since.map((s) => [s.code, s]))
  return on.flatMap((o) => sinceOf.get(o.code) ?? (isGiven.has(o.code) ? [] : o))
}

/** 95 % of a normal distribution lie within so many standard deviations. */
const Z = 1.96

/**
 * How well somebody may know a standard at best: the upper end of the 95 % score interval of a share over n items
 * (Wilson, 1927). One item missed of one is less sure a weakness than five of seven.
 */
export function atBest({ share, items: n }: Pick<OnStandard, 'share' | 'items'>): number {
  const middle = share + Z ** 2 / (2 * n)
  const spread = Z * Math.sqrt((share * (1 - share)) / n + Z ** 2 / (4 * n ** 2))
  return (middle + spread) / (1 + Z ** 2 / n)
}
