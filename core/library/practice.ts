import { isOmitted, rightInWords, scoreItem } from './kinds'
import type { Answer, Item } from './kinds'
import { isScoredByHand } from './kinds'
import type { ItemId } from '../base'

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
