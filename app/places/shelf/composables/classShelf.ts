import { computed, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { BookId, ClassId } from '#core/base'
import { CLASS_SHELF_PARTS } from '#core/library'
import type { ClassShelf, ShelfFilter } from '#core/library'
import { SetClassShelf, SetRoute, ShowClassShelf, ShowRoutes } from '#shared/contracts/library'
import { useCombining } from '~/shared/conflict/combining'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'
import { CLASS_SHELF_CONFLICT } from '../words/conflicts'

/** The textbooks and the usual narrowing of the class for which somebody looks; null: for nobody in particular. */
export function useClassShelf(classId: Readonly<Ref<ClassId | null>>) {
  const tell = useTell()
  const combining = useCombining()
  const shelf = shallowRef<ClassShelf | null>(null)
  /** Textbooks that are open as practice. */
  const routes = shallowRef<readonly BookId[] | null>(null)
  async function load(): Promise<void> {
    const id = classId.value
    shelf.value = null
    routes.value = null
    if (id === null) return
    const params = { classId: id }
    const [of, open] = await Promise.all([call(ShowClassShelf, { params }), call(ShowRoutes, { params })])
    if (id !== classId.value) return
    if (of.ok) shelf.value = of.value
    if (open.ok) routes.value = open.value.bookIds
  }
  watch(classId, load, { immediate: true })

  async function save(part: Partial<ClassShelf>): Promise<void> {
    const id = classId.value
    if (id === null || shelf.value === null) return
    const params = { classId: id }
    const reply = await combining({
      what: 'what this class begins with',
      parts: CLASS_SHELF_PARTS,
      words: CLASS_SHELF_CONFLICT,
      seen: { value: shelf.value, version: 0 },
      mine: { ...shelf.value, ...part },
      send: (next, { value: seen }) => call(SetClassShelf, { params, body: { shelf: next, seen } }),
      current: async () => {
        const now = await call(ShowClassShelf, { params })
        return now.ok ? { value: now.value, version: 0 } : null
      },
    })
    if (id !== classId.value) return
    if (reply === null) await load()
    else if (reply.ok) shelf.value = reply.value
    else tell.refused(reply.error)
  }
  async function setRoute(bookId: BookId, isOpen: boolean): Promise<void> {
    const id = classId.value
    if (id === null) return
    const reply = await call(SetRoute, { params: { classId: id }, body: { bookId, isOpen } })
    if (!reply.ok) return tell.refused(reply.error)
    routes.value = reply.value.bookIds
    tell.done(
      isOpen
        ? 'Open as practice: learners find it below their set work.'
        : 'Closed. What was practised is kept.',
    )
  }
  const usual = computed<ShelfFilter>(() => shelf.value?.filter ?? {})
  return { shelf, routes, setRoute, usual, save }
}
