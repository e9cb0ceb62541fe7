import type { ItemId } from '../../base'
import { isScoredByHand, scoreItem } from '../../library'
import type { Answer, Item } from '../../library'
import { orderItems } from '../attempt'
import type { TryOf } from '../attempt'
import type { Attempt, AttemptRules, Estimate } from '../types'
import { estimateOf, nextItem } from './adaptive'
import { drawItems } from './draw'

/**
 * The items with which a try begins, in its order; null: all of them. A drawn try has its whole draw, an adaptive one
 * its first item.
 */
export function itemsToBegin(
  bank: readonly Item[],
  rules: Pick<AttemptRules, 'items' | 'order'>,
  of: TryOf,
  earlier: readonly Pick<Attempt, 'itemIds'>[],
): readonly ItemId[] | null {
  const { items: choice, order } = rules
  switch (choice.kind) {
    case 'all':
      return null
    case 'drawn': {
      const isSame = choice.again === 'same'
      const seed = seedFor(isSame ? { ...of, number: 1 } : of)
      const drawn = drawItems(bank, choice.shares, seed, isSame ? new Map() : timesSeen(earlier))
      return orderItems(drawn, order, of).map((item) => item.id)
    }
    case 'adaptive': {
      const first = nextItem(gaugeable(bank), choice, {
        given: [],
        estimate: estimateOf([]),
        seed: seedFor(of),
        seen: timesSeen(earlier),
      })
      return first ? [first.id] : []
    }
  }
}

/** What was answered in a try so far, and the tries before it. */
interface BeforeItem {
  readonly answers: ReadonlyMap<ItemId, Answer>
  readonly earlier: readonly Pick<Attempt, 'itemIds'>[]
}

/** The item that follows in an adaptive try, after those given were answered; null when it is at its end. */
export function itemToFollow(
  bank: readonly Item[],
  rules: Pick<AttemptRules, 'items'>,
  attempt: TryOf & { readonly itemIds: readonly ItemId[] },
  { answers, earlier }: BeforeItem,
): ItemId | null {
  if (rules.items.kind !== 'adaptive') return null
  const given = attempt.itemIds
  const seed = `${seedFor(attempt)}/${given.length}`
  const estimate = estimateFrom(itemsOf(bank, attempt, 'as-written'), answers)
  return (
    nextItem(gaugeable(bank), rules.items, { given, estimate, seed, seen: timesSeen(earlier) })?.id ?? null
  )
}

/** The items that tell at once how able somebody is: not those that a person has to read. */
export function gaugeable<T extends Pick<Item, 'kind'>>(bank: readonly T[]): readonly T[] {
  return bank.filter((item) => !isScoredByHand(item))
}

/** How able a learner is, by what they earned on these items. */
export function estimateFrom(items: readonly Item[], answers: ReadonlyMap<ItemId, Answer>): Estimate {
  return estimateOf(
    items.map((item) => ({
      difficulty: item.difficulty,
      share: scoreItem(item, answers.get(item.id)) / item.points,
    })),
  )
}

/** The items of a try in its order: those chosen for it, else all of the piece. */
export function itemsOf(
  bank: readonly Item[],
  attempt: TryOf & { readonly itemIds: readonly ItemId[] | null },
  order: AttemptRules['order'],
): readonly Item[] {
  if (attempt.itemIds === null) return orderItems(bank, order, attempt)
  const byId = new Map(bank.map((item) => [item.id, item]))
  return attempt.itemIds.flatMap((id) => byId.get(id) ?? [])
}

function timesSeen(earlier: readonly Pick<Attempt, 'itemIds'>[]): ReadonlyMap<ItemId, number> {
  const times = new Map<ItemId, number>()
  for (const id of earlier.flatMap((t) => t.itemIds ?? [])) times.set(id, (times.get(id) ?? 0) + 1)
  return times
}

function seedFor({ assignmentId, pieceId, learnerId, number }: TryOf): string {
  return `${assignmentId}/${pieceId}/${learnerId}/${number}`
}
