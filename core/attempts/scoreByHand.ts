import { ok, refuse } from '../base'
import type { ItemId, Result } from '../base'
import type { Item } from '../library'
import { isScoredByHand } from '../library'
import type { AttemptRefusal } from './refusals'
import { summedUp } from './scoreAttempt'
import type { AttemptScore, LateRule } from './types'

/** What a person gives for one answer; `points` in steps of a half, or all there are. */
export interface HandScore {
  readonly itemId: ItemId
  readonly points: number
  /** For the learner; may be empty. */
  readonly comment: string
  /** How the points came about, where there are criteria. */
  readonly levels?: readonly number[]
}

/**
 * A score with what a person gave for one of its answers; given again, the later counts. Refused for items that score
 * themselves or are not in the try, and for points that the item does not have.
 */
export function scoredByHand(
  score: AttemptScore,
  items: readonly Pick<Item, 'id' | 'kind' | 'points'>[],
  given: HandScore,
  rule: LateRule | null,
): Result<AttemptScore, AttemptRefusal> {
  const { itemId, points } = given
  const item = items.find((i) => i.id === itemId)
  const isThere = score.items.some((s) => s.itemId === itemId)
  if (!item || !isThere || !isScoredByHand(item))
    return refuse({ code: 'attempts/unknown-item', field: 'itemId', itemId })
  const isStep = Number.isInteger(points * 2) || points === item.points
  const isPossible = points >= 0 && points <= item.points && isStep
  if (!isPossible) return refuse({ code: 'attempts/bad-points', field: 'points', most: item.points })
  const comment = given.comment.trim()
  const said = {
    ...(comment === '' ? {} : { comment }),
    ...(given.levels === undefined ? {} : { levels: given.levels }),
  }
  const scores = score.items.map((s) => (s.itemId === itemId ? { itemId, points, of: s.of, ...said } : s))
  return ok(summedUp(scores, { rule, lateDays: score.lateDays, expected: null }))
}
