import { asId } from '#core/base'
import type { ItemId, PageId } from '#core/base'
import type { AnswerChange } from '#core/attempts'

/** Changes that the server has not yet acknowledged, kept on this machine by their try. */
export function keptChanges(attemptId: string) {
  const key = `answers ${attemptId}`
  return {
    read(): ReadonlyMap<ItemId, AnswerChange> {
      try {
        const kept = JSON.parse(localStorage.getItem(key) ?? '[]') as readonly AnswerChange[]
        return new Map(kept.map((change) => [change.itemId, change]))
      } catch {
        return new Map()
      }
    },
    write(changes: ReadonlyMap<ItemId, AnswerChange>): void {
      try {
        if (changes.size === 0) localStorage.removeItem(key)
        else localStorage.setItem(key, JSON.stringify([...changes.values()]))
      } catch {
        // a full or forbidden store: the answers still go to the server
      }
    },
  }
}

/** What the server says that stands now. */
export interface Stands {
  readonly stands: readonly { readonly itemId: ItemId; readonly revision: number }[]
  readonly stale: readonly ItemId[]
}

/** A name for this page that no other page has. */
export function newPage(): PageId {
  return asId(`page-${crypto.getRandomValues(new Uint32Array(3)).join('-')}`)
}

/**
 * What is still unsent once the server has said what stands. An answer that was changed while it was on its way
 * stays, made from what now stands; so does one about which the learner has to choose.
 */
export function unsentAfter(
  unsent: ReadonlyMap<ItemId, AnswerChange>,
  sent: readonly AnswerChange[],
  reply: Stands,
): ReadonlyMap<ItemId, AnswerChange> {
  const left = new Map(unsent)
  const revisionOf = new Map(reply.stands.map((s) => [s.itemId, s.revision]))
  for (const { itemId, edit, writer } of sent) {
    const now = left.get(itemId)
    if (!now || reply.stale.includes(itemId)) continue
    if (now.edit === edit && now.writer === writer) left.delete(itemId)
    else left.set(itemId, { ...now, from: revisionOf.get(itemId) ?? now.from })
  }
  return left
}
