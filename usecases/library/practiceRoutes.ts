import { ok, refuse } from '#core/base'
import type { BookId, ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { addRoute, booksFor, closeRoute, openRoutes } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

/** Textbooks that are open to a class as practice. */
export async function showRoutes(deps: Pick<Deps, 'store'>, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const routes = await openRoutes(tx, [classId])
  return ok({ bookIds: routes.map((r) => r.bookId) })
}

type RouteSet = Result<{ readonly bookIds: readonly BookId[] }, AccessRefusal>

/** Opens a textbook to a class as practice of its learners' own choice, or closes it; several stand side by side. */
export async function setRoute(
  deps: Deps,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly bookId: BookId; readonly isOpen: boolean },
): Promise<RouteSet> {
  return writing(deps.store, async (tx): Promise<RouteSet> => {
    const { classId, bookId, isOpen } = input
    const found = await classFor(tx, actor, classId, 'run')
    if (!found.ok) return found
    const books = await booksFor(tx, actor.schoolId)
    if (!books.some((b) => b.id === bookId)) return refuse({ code: 'access/not-found', what: 'textbook' })
    const open = await openRoutes(tx, [classId])
    const standing = open.find((r) => r.bookId === bookId)
    const now = deps.clock.now()
    if (!isOpen && standing) await closeRoute(tx, standing.id, now)
    if (isOpen && !standing)
      await addRoute(tx, {
        id: deps.ids.newId(),
        classId,
        bookId,
        openedBy: actor.userId,
        openedAt: now,
        closedAt: null,
      })
    return ok({ bookIds: (await openRoutes(tx, [classId])).map((r) => r.bookId) })
  })
}
