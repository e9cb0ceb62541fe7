import { groupBy } from '../base'
import type { ItemId } from '../base'
import type { Item } from '../library'
import type { KeptItems } from './types'

type Asked = Pick<Item, 'id' | 'standard'>

/**
 * The questions that are asked, in the order in which they stand. A share takes its part of the questions on each
 * standard, rounded up, so that no standard is left out; chosen ones that are gone count for nothing, and when none is
 * left all are asked.
 */
export function keptItems<T extends Asked>(items: readonly T[], kept: KeptItems): readonly T[] {
  if (kept.kind === 'all') return items
  const wanted = kept.kind === 'chosen' ? new Set(kept.itemIds) : sharesOf(items, kept.percent)
  const left = items.filter((item) => wanted.has(item.id))
  return left.length > 0 ? left : items
}

function sharesOf(items: readonly Asked[], percent: number): ReadonlySet<ItemId> {
  const byStandard = [...groupBy(items, (item) => item.standard).values()]
  return new Set(
    byStandard.flatMap((group) =>
      group.slice(0, Math.ceil((group.length * percent) / 100)).map((item) => item.id),
    ),
  )
}
