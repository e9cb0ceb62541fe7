import type { ItemId } from '../base'
import { chosenIn, isOmitted, optionsOf, scoreItem } from '../library'
import type { Answer, Item } from '../library'
import type { ItemFigures } from './types'

/** Below this many tries a share says little. */
export const FEW = 8

/**
 * Figures of each item over the given tries' answers, hardest (lowest share of points) first; ties in the
 * order of the piece.
 */
export function itemFigures(
  items: readonly Item[],
  tries: readonly ReadonlyMap<ItemId, Answer>[],
): ItemFigures[] {
  const figures = items.map((item): ItemFigures => {
    const options: Record<string, number> = Object.fromEntries(optionsOf(item).map((o) => [o.id, 0]))
    let rightCount = 0
    let omittedCount = 0
    let points = 0
    for (const answers of tries) {
      const answer = answers.get(item.id)
      const earned = scoreItem(item, answer)
      points += earned
      if (earned >= item.points) rightCount++
      if (isOmitted(answer)) omittedCount++
      for (const id of chosenIn(answer)) if (id in options) options[id] = (options[id] ?? 0) + 1
    }
    const n = tries.length
    return {
      itemId: item.id,
      n,
      few: n < FEW,
      rightCount,
      rightRatio: n === 0 ? 0 : rightCount / n,
      meanRatio: n === 0 ? 0 : points / (n * item.points),
      omittedCount,
      options,
    }
  })
  return figures.sort((a, b) => a.meanRatio - b.meanRatio)
}
