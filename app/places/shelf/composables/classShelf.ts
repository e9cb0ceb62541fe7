import { computed, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import type { BookId, ClassId } from '#core/base'
import type { ClassShelf, ShelfFilter } from '#core/library'
import { SetClassShelf, SetRoute, ShowClassShelf, ShowRoutes } from '#shared/contracts/library'
import { useTell } from '~/shared/frame/tell'
import { call } from '~/shared/wire/call'

/** The textbooks and the usual narrowing of the class for which somebody looks; null: for nobody in particular. */
export function useClassShelf(classId: Readonly<Ref<ClassId | null>>) {
  const tell = useTell()
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
    const next = { ...shelf.value, ...part }
    const reply = await call(SetClassShelf, { params: { classId: id }, body: next })
    if (reply.ok) shelf.value = reply.value
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
