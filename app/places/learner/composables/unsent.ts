import { shallowRef } from 'vue'
import type { ItemId } from '#core/base'
import type { AnswerChange } from '#core/attempts'
import type { Answer } from '#core/library'
import type { OpenTry } from '#shared/contracts/learning'
import { keptChanges, newPage, unsentAfter } from './keptChanges'
import type { Stands } from './keptChanges'

/** Changes that the server has not yet acknowledged, each made from what stood when it was made. */
export function useUnsent({ attemptId, revisions }: Pick<OpenTry, 'attemptId' | 'revisions'>) {
  const kept = keptChanges(attemptId)
  let changes = new Map(kept.read())
  const standing = new Map(Object.entries(revisions) as [ItemId, number][])
  const page = newPage()
  let edit = 0
  /** How many there are. */
  const pending = shallowRef(changes.size)

  function note(): void {
    pending.value = changes.size
    kept.write(changes)
  }
  function add(itemId: ItemId, answer: Answer): void {
    const from = changes.get(itemId)?.from ?? standing.get(itemId) ?? 0
    changes.set(itemId, { itemId, answer, from, writer: page, edit: ++edit })
    note()
  }
  function sent(saves: readonly AnswerChange[], reply: Stands): void {
    changes = new Map(unsentAfter(changes, saves, reply))
    for (const { itemId, revision } of reply.stands) standing.set(itemId, revision)
    note()
  }
  /** Given up: what stands on the server is to count, or to be changed anew. */
  function drop(itemId: ItemId, revision: number): void {
    changes.delete(itemId)
    standing.set(itemId, revision)
    note()
  }
  function clear(): void {
    changes.clear()
    note()
  }
  return { all: () => [...changes.values()], pending, add, sent, drop, clear }
}
