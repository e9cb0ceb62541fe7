import type { AttemptScore } from '../attempts'
import type { UserId } from '../base'
import type { Item } from '../library'

/** How somebody stands on some standards: the share of points they earned on items of these, 0 to 1. */
export interface MeanOnStandards {
  readonly share: number
  /** On how many items it rests. */
  readonly items: number
}

/** A try that counts, with the items of its piece. */
export interface CountedTry {
  readonly learnerId: UserId
  readonly score: AttemptScore
  readonly items: readonly Pick<Item, 'id' | 'standard'>[]
}

/** How learners stand on standards, by all items of these in their tries; who has met none is absent. */
export function meansOnStandards(
  standards: ReadonlySet<string>,
  tries: readonly CountedTry[],
): ReadonlyMap<UserId, MeanOnStandards> {
  const sums = new Map<UserId, { points: number; of: number; items: number }>()
  for (const { learnerId, score, items } of tries) {
    const ofStandards = new Set(
      items.filter((i) => i.standard !== null && standards.has(i.standard)).map((i) => i.id),
    )
    for (const { itemId, points, of, waits } of score.items) {
      if (waits || of === 0 || !ofStandards.has(itemId)) continue
      const sum = sums.get(learnerId) ?? { points: 0, of: 0, items: 0 }
      sums.set(learnerId, { points: sum.points + points, of: sum.of + of, items: sum.items + 1 })
    }
  }
  return new Map(
    [...sums].map(([id, { points, of, items }]) => [id, { share: of === 0 ? 0 : points / of, items }]),
  )
}
