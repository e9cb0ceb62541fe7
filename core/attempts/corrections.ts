import type { ItemId } from '../base'
import { isScoredByHand, scoreItem } from '../library'
import type { Answer, Item } from '../library'
import { expectedOverBank } from './items/adaptive'
import { estimateFrom, gaugeable } from './items/choose'
import { summedUp } from './scoreAttempt'
import type { AttemptScore, ItemScore, LateRule } from './types'

/** What is put right about one question after it was given; it holds for tries in the form of that time. */
export type Correction = {
  readonly itemId: ItemId
  readonly revision: number
} & (
  | {
      readonly kind: 'key'
      /** The question with the answer that is right. */
      readonly item: Item
    }
  /** It counts for nobody. */
  | { readonly kind: 'dropped' }
  /** Everybody who was asked has all points. */
  | { readonly kind: 'credit' }
)

/** What was put right in one form of a piece. */
export function correctionsOf(
  piece: { readonly corrections?: readonly Correction[] | undefined },
  revision: number,
): readonly Correction[] {
  return (piece.corrections ?? []).filter((c) => c.revision === revision)
}

/** Questions with the answers that are right. */
export function corrected(items: readonly Item[], corrections: readonly Correction[]): readonly Item[] {
  if (corrections.length === 0) return items
  const keys = new Map(corrections.flatMap((c) => (c.kind === 'key' ? [[c.itemId, c.item] as const] : [])))
  return items.map((item) => keys.get(item.id) ?? item)
}

/**
 * The score of a try by what is right now: questions that score themselves are scored anew, one that was dropped is
 * worth nothing to anybody, one with credit all it has. What a person gave, and the days it was late, stay.
 */
export function rescored(
  score: AttemptScore,
  items: readonly Item[],
  answers: ReadonlyMap<ItemId, Answer>,
  by: {
    readonly corrections: readonly Correction[]
    readonly rule: LateRule | null
    /** Of an adaptive try all items of its piece. */
    readonly bank: readonly Item[] | null
  },
): AttemptScore {
  const right = corrected(items, by.corrections)
  const itemOf = new Map(right.map((i) => [i.id, i]))
  const kindOf = new Map(by.corrections.map((c) => [c.itemId, c.kind]))
  const scores = score.items.map((s): ItemScore => {
    const item = itemOf.get(s.itemId)
    if (!item || isScoredByHand(item)) return s
    const { itemId } = s
    const how = kindOf.get(itemId)
    if (how === 'dropped') return { itemId, points: 0, of: 0 }
    if (how === 'credit') return { itemId, points: item.points, of: item.points }
    return { itemId, points: scoreItem(item, answers.get(itemId)), of: item.points }
  })
  const counts = (i: Item) => kindOf.get(i.id) !== 'dropped'
  const asked = new Set(score.items.map((s) => s.itemId))
  const had = right.filter((i) => asked.has(i.id) && counts(i))
  const estimate = score.estimate === undefined || by.bank === null ? null : estimateFrom(had, answers)
  const bank = corrected(by.bank ?? [], by.corrections).filter(counts)
  const expected = estimate === null ? null : expectedOverBank(gaugeable(bank), estimate.ability)
  const next = summedUp(scores, { rule: by.rule, lateDays: score.lateDays, expected })
  return estimate === null ? next : { ...next, estimate }
}
