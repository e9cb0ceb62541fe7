import { same } from '../base'
import type { ItemId } from '../base'
import type { Item } from './kinds'
import type { Resource } from './types'

/** One way in which a piece differs from what it was. */
export type PieceChange =
  | { readonly kind: 'title'; readonly was: string; readonly is: string }
  | { readonly kind: 'minutes'; readonly was: number; readonly is: number }
  /** Text that stands in one of the two only, paragraph by paragraph. */
  | { readonly kind: 'text'; readonly gone: readonly string[]; readonly added: readonly string[] }
  | { readonly kind: 'item-added' | 'item-gone'; readonly itemId: ItemId; readonly stem: string }
  /** A question under the same name: scores of the two are compared by it. `isKey`: what is right differs. */
  | {
      readonly kind: 'item-changed'
      readonly itemId: ItemId
      readonly was: string
      readonly is: string
      readonly isKey: boolean
    }
  | { readonly kind: 'order' }
  | { readonly kind: 'material' }

/** What differs between two forms of a piece, in the order in which a reader meets it. */
export function differenceOf(was: Resource, is: Resource): readonly PieceChange[] {
  return [
    ...(was.title === is.title ? [] : [{ kind: 'title', was: was.title, is: is.title } as const]),
    ...(was.minutes === is.minutes ? [] : [{ kind: 'minutes', was: was.minutes, is: is.minutes } as const]),
    ...textChange(was.content, is.content),
    ...(same(was.material, is.material) ? [] : [{ kind: 'material' } as const]),
    ...itemChanges(was.items, is.items),
  ]
}

const paragraphs = (text: string) =>
  text
    .split(/\n\s*\n/)
    .map((p) => p.trim())
    .filter((p) => p !== '')

function textChange(was: string, is: string): readonly PieceChange[] {
  const [before, after] = [paragraphs(was), paragraphs(is)]
  const [stood, stands] = [new Set(before), new Set(after)]
  const gone = before.filter((p) => !stands.has(p))
  const added = after.filter((p) => !stood.has(p))
  return gone.length + added.length === 0 ? [] : [{ kind: 'text', gone, added }]
}

function itemChanges(was: readonly Item[], is: readonly Item[]): readonly PieceChange[] {
  const before = new Map(was.map((item) => [item.id, item]))
  const after = new Set(is.map((item) => item.id))
  const changed = is.flatMap((item): readonly PieceChange[] => {
    const old = before.get(item.id)
    if (!old) return [{ kind: 'item-added', itemId: item.id, stem: item.stem }]
    if (same(old, item)) return []
    const isKey = !same(keyOf(old), keyOf(item))
    return [{ kind: 'item-changed', itemId: item.id, was: old.stem, is: item.stem, isKey }]
  })
  const gone = was
    .filter((item) => !after.has(item.id))
    .map((item) => ({ kind: 'item-gone', itemId: item.id, stem: item.stem }) as const)
  const kept = (list: readonly Item[]) =>
    list.map((i) => i.id).filter((id) => before.has(id) && after.has(id))
  const isMoved = !same(kept(was), kept(is))
  return [...changed, ...gone, ...(isMoved ? [{ kind: 'order' } as const] : [])]
}

/** All of an item that decides what an answer earns. */
function keyOf(item: Item): unknown {
  const { id: _, stem: __, feedback: ___, hint: ____, standard: _____, difficulty: ______, ...key } = item
  return key
}
