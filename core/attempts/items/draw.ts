import { groupBy, seedOf, seededRandom, shuffled } from '../../base'
import type { ItemId } from '../../base'
import type { Item } from '../../library'
import type { Hardness, ItemChoice, Share } from '../types'

/** What a draw looks at in an item. */
export type Drawable = Pick<Item, 'id' | 'standard' | 'difficulty'>

/** The hardness of a difficulty from 1 to 5. */
export function hardnessOf(difficulty: number): Hardness {
  if (difficulty <= 2) return 'easy'
  return difficulty === 3 ? 'middle' : 'hard'
}

/** Whether an item may fill a share. */
export function fillsShare(item: Drawable, share: Share): boolean {
  return (
    (share.standard === null || share.standard === item.standard) &&
    (share.hardness === null || share.hardness === hardnessOf(item.difficulty))
  )
}

/** How many items all shares ask for. */
export function askedFor(shares: readonly Share[]): number {
  return shares.reduce((sum, s) => sum + s.count, 0)
}

/** How many of a piece's items one try has at most: all, as many as are drawn, or as the choice one by one may ask. */
export function mostInTry(items: ItemChoice, itemCount: number): number {
  switch (items.kind) {
    case 'all':
      return itemCount
    case 'drawn':
      return Math.min(itemCount, askedFor(items.shares))
    case 'adaptive':
      return Math.min(itemCount, items.most)
  }
}

/**
 * Items by shares: as many as the bank can fill, each at most once; of these the ones seen least often, and among
 * equals each as likely. The same seed draws the same.
 *
 * Items are taken in that order whenever what is taken can still be matched with places of the shares. Sets that can
 * be matched are a transversal matroid, so that taking the best first gives the best set of the largest size
 * (Edmonds and Fulkerson 1965; Rado 1957).
 * @param seen how often the learner had each item before; absent: never.
 */
export function drawItems<T extends Drawable>(
  bank: readonly T[],
  shares: readonly Share[],
  seed: string,
  seen: ReadonlyMap<ItemId, number> = new Map(),
): readonly T[] {
  const times = (item: T) => seen.get(item.id) ?? 0
  const inTurn = shuffled(bank, seededRandom(seedOf(seed))).sort((a, b) => times(a) - times(b))
  const places = shares.flatMap((share) => Array.from({ length: share.count }, () => share))
  const takenBy: (T | null)[] = places.map(() => null)
  const drawn = inTurn.filter((item) => place(item, places, takenBy, new Set()))
  const chosen = new Set(drawn.map((item) => item.id))
  return bank.filter((item) => chosen.has(item.id))
}

/** Finds a place for an item, moving others to places that suit them as well; false when there is none. */
function place<T extends Drawable>(
  item: T,
  places: readonly Share[],
  takenBy: (T | null)[],
  tried: Set<number>,
): boolean {
  for (const [i, share] of places.entries()) {
    if (tried.has(i) || !fillsShare(item, share)) continue
    tried.add(i)
    const other = takenBy[i] ?? null
    if (other !== null && !place(other, places, takenBy, tried)) continue
    takenBy[i] = item
    return true
  }
  return false
}

/** How many items the bank is short of, whatever is drawn. */
export function shortOf(bank: readonly Drawable[], shares: readonly Share[]): number {
  return askedFor(shares) - drawItems(bank, shares, '').length
}

/** Items of a bank that are alike to a draw. */
export interface BankPart {
  readonly standard: string | null
  readonly hardness: Hardness
  readonly count: number
}

/** What a bank holds, by standard and hardness, in the order of the standards' codes. */
export function bankParts(bank: readonly Drawable[]): readonly BankPart[] {
  const parts = groupBy(bank, (i) => JSON.stringify([i.standard ?? '', hardnessOf(i.difficulty)]))
  return [...parts]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .flatMap(([, items]) => {
      const [first] = items
      if (!first) return []
      return { standard: first.standard, hardness: hardnessOf(first.difficulty), count: items.length }
    })
}
