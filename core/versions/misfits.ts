import type { ItemId } from '../base'
import type { Resource } from '../library'
import { mendedMark, placeMarks } from './marks'
import type { Layer, Mark } from './types'

/** Something of a layer that its core no longer bears, with what would mend it where that can be said. */
export type Misfit =
  /** The marked words are not in the text; `mended`: words like them that are. */
  | { readonly code: 'versions/mark-gone'; readonly mark: Mark; readonly mended: Mark | null }
  | { readonly code: 'versions/hint-without-item'; readonly itemId: ItemId; readonly hint: string }
  | { readonly code: 'versions/chosen-item-gone'; readonly itemId: ItemId }
  /** Every chosen question is gone: all are asked until others are chosen. */
  | { readonly code: 'versions/nothing-chosen' }

/** What of a layer does not fit a core as it is now; empty: all of it does. */
export function misfitsOf(core: Resource, layer: Layer): readonly Misfit[] {
  const there = new Set(core.items.map((item) => item.id))
  const marks = placeMarks(core.content, layer.marks).gone.map((mark): Misfit => ({
    code: 'versions/mark-gone',
    mark,
    mended: mendedMark(core.content, mark),
  }))
  const hints = layer.hints
    .filter((h) => !there.has(h.itemId))
    .map(({ itemId, hint }): Misfit => ({ code: 'versions/hint-without-item', itemId, hint }))
  return [...marks, ...hints, ...chosenGone(there, layer)]
}

function chosenGone(there: ReadonlySet<ItemId>, { items }: Layer): readonly Misfit[] {
  if (items.kind !== 'chosen') return []
  const gone = items.itemIds.filter((id) => !there.has(id))
  const nothing: readonly Misfit[] =
    gone.length === items.itemIds.length ? [{ code: 'versions/nothing-chosen' }] : []
  return [...gone.map((itemId): Misfit => ({ code: 'versions/chosen-item-gone', itemId })), ...nothing]
}

/** A layer with a misfit mended: the mark on the words like its own, or what has lost its place taken out. */
export function mended(layer: Layer, misfit: Misfit): Layer {
  switch (misfit.code) {
    case 'versions/mark-gone':
      return {
        ...layer,
        marks: layer.marks.flatMap((m) =>
          m === misfit.mark || isSame(m, misfit.mark) ? (misfit.mended ?? []) : m,
        ),
      }
    case 'versions/hint-without-item':
      return { ...layer, hints: layer.hints.filter((h) => h.itemId !== misfit.itemId) }
    case 'versions/chosen-item-gone':
      return { ...layer, items: withoutChosen(layer.items, misfit.itemId) }
    case 'versions/nothing-chosen':
      return { ...layer, items: { kind: 'all' } }
  }
}

const isSame = (a: Mark, b: Mark) => a.sort === b.sort && a.quote === b.quote && a.nth === b.nth

function withoutChosen(items: Layer['items'], gone: ItemId): Layer['items'] {
  if (items.kind !== 'chosen') return items
  const itemIds = items.itemIds.filter((id) => id !== gone)
  return itemIds.length === 0 ? { kind: 'all' } : { ...items, itemIds }
}
