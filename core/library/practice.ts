import { isOmitted, rightInWords, scoreItem } from './kinds'
import type { Answer, Item } from './kinds'
import { isScoredByHand } from './kinds'
import type { ItemId, ResourceId, UserId } from '../base'

/** How one answer did in practice: everything is shown at once, since nothing counts. */
export interface PracticeResult {
  readonly itemId: ItemId
  readonly points: number
  readonly of: number
  readonly right: string
  readonly feedback: string
}

/** How answers did, item by item; `ratio` null where nothing scores itself. What was left out tells no answer. */
export function practised(
  items: readonly Item[],
  answers: ReadonlyMap<ItemId, Answer>,
): { readonly results: readonly PracticeResult[]; readonly ratio: number | null } {
  const asked = items.filter((item) => !isScoredByHand(item))
  const of = asked.reduce((sum, item) => sum + item.points, 0)
  const points = asked.reduce((sum, item) => sum + scoreItem(item, answers.get(item.id)), 0)
  const results = asked
    .filter((item) => !isOmitted(answers.get(item.id)))
    .map((item) => ({
      itemId: item.id,
      points: Math.round(scoreItem(item, answers.get(item.id)) * 100) / 100,
      of: item.points,
      right: rightInWords(item),
      feedback: item.feedback,
    }))
  return { results, ratio: of === 0 ? null : points / of }
}

/** Results without what is right and why: how each answer did stays. */
export function withoutSolutions(results: readonly PracticeResult[]): readonly PracticeResult[] {
  return results.map((r) => ({ ...r, right: '', feedback: '' }))
}

/** What one learner did at a piece, the last time. */
export interface LastPractice {
  readonly learnerId: UserId
  readonly resourceId: ResourceId
  readonly times: number
  /** The share of points; null: only read. */
  readonly ratio: number | null
  /** Items that were not wholly right. */
  readonly missed: readonly ItemId[]
}

/** What several did at one piece. */
export interface PractisedTogether {
  readonly times: number
  /** Mean share of points of each learner's last time; null: nobody has one. */
  readonly mean: number | null
  /** Items that several learners, or the only one, had wrong the last time, most often missed first. */
  readonly missed: readonly { readonly itemId: ItemId; readonly learners: number }[]
}

/** So many items are named at most: where it went wrong, not a list of all. */
const MOST_MISSED = 3

/** What learners did at one piece, taken together. */
export function practisedTogether(each: readonly LastPractice[]): PractisedTogether {
  const ratios = each.flatMap((p) => p.ratio ?? [])
  const counts = new Map<ItemId, number>()
  for (const { missed } of each) for (const id of missed) counts.set(id, (counts.get(id) ?? 0) + 1)
  const least = each.length > 1 ? 2 : 1
  return {
    times: each.reduce((sum, p) => sum + p.times, 0),
    mean: ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length,
    missed: [...counts]
      .map(([itemId, learners]) => ({ itemId, learners }))
      .filter((m) => m.learners >= least)
      .sort((a, b) => b.learners - a.learners || (a.itemId < b.itemId ? -1 : 1))
      .slice(0, MOST_MISSED),
  }
}

/** Items that were asked, and not wholly right; what was left out is missed, too. */
export function missedIn(items: readonly Item[], answers: ReadonlyMap<ItemId, Answer>): readonly ItemId[] {
  return items
    .filter((item) => !isScoredByHand(item) && scoreItem(item, answers.get(item.id)) < item.points)
    .map((item) => item.id)
}
