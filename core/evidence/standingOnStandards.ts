import type { Instant, UserId } from '../base'
import type { CountedTry } from './meansOnStandards'

/** After so many days an answer counts half as much as one of today. */
export const HALF_LIFE_DAYS = 42
const DAY = 86_400_000
/** On fewer items a share says little. */
const FEW_ITEMS = 3

/** How a learner stands on one standard. Who has met no item of it has none: not yet seen is not zero. */
export interface StandingOnStandard {
  /** Share of points, 0 to 1, the newer the weightier. */
  readonly share: number
  /** On how many items it rests. */
  readonly items: number
  /** When the last of them was handed in. */
  readonly lastAt: Instant
  /** It rests on so few items that it says little. */
  readonly few: boolean
}

/** A counted try with when it was handed in. */
export interface DatedTry extends CountedTry {
  readonly at: Instant
}

/**
 * How learners stand on every standard of their tries: the sum of w times points, divided by the sum of w times what
 * could be had, over its items; w = 2^(-age / 42 days), an exponentially weighted mean. Ages are counted from the
 * newest try of all: another "now" changes all weights by one factor, and so nothing. What waits to be scored is left
 * out.
 */
export function standingOnStandards(
  tries: readonly DatedTry[],
): ReadonlyMap<UserId, ReadonlyMap<string, StandingOnStandard>> {
  const newest = tries.reduce((latest, t) => Math.max(latest, t.at), 0)
  const sums = new Map<UserId, Map<string, Sum>>()
  for (const { learnerId, score, items, at } of tries) {
    const weight = 2 ** (-(newest - at) / (HALF_LIFE_DAYS * DAY))
    const standardOf = new Map(items.map((i) => [i.id, i.standard]))
    const own = sums.get(learnerId) ?? new Map<string, Sum>()
    sums.set(learnerId, own)
    for (const { itemId, points, of, waits } of score.items) {
      const standard = standardOf.get(itemId)
      if (waits || standard == null || of === 0) continue
      const sum = own.get(standard) ?? { points: 0, of: 0, items: 0, lastAt: at }
      own.set(standard, {
        points: sum.points + weight * points,
        of: sum.of + weight * of,
        items: sum.items + 1,
        lastAt: at > sum.lastAt ? at : sum.lastAt,
      })
    }
  }
  return new Map(
    [...sums].map(([id, own]) => [id, new Map([...own].map(([code, sum]) => [code, said(sum)]))]),
  )
}

interface Sum {
  readonly points: number
  readonly of: number
  readonly items: number
  readonly lastAt: Instant
}

function said({ points, of, items, lastAt }: Sum): StandingOnStandard {
  return { share: points / of, items, lastAt, few: items < FEW_ITEMS }
}
