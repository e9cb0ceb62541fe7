import { shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { ResourceId } from '#core/base'
import { forTheWeak } from '#core/library'
import { ShowGuide } from '#shared/contracts/library'
import type { PieceCard } from '#shared/contracts/library'
import { useShelf } from '~/places/shelf'
import { call } from '~/shared/wire/call'

/**
 * Pieces for those who were weak in one: what it points to, then what its lesson has. Null until that is known: what is
 * shown before would move under the pointer.
 */
export function usePointed(resourceId: () => ResourceId | null): Readonly<Ref<readonly PieceCard[] | null>> {
  const shelf = useShelf()
  const pointed = shallowRef<readonly PieceCard[] | null>(null)
  async function load(): Promise<void> {
    const of = resourceId()
    pointed.value = null
    if (of === null) return
    const reply = await call(ShowGuide, { params: { resourceId: of } })
    await shelf.load()
    if (of !== resourceId()) return
    pointed.value = forTheWeak(of, {
      pointed: reply.ok ? reply.value.pointers.map((p) => p.to) : [],
      lesson: shelf.piecesOf(shelf.piece(of)?.bookLessonId ?? null),
    })
  }
  watch(resourceId, load, { immediate: true })
  return pointed
}
