import { ok, refuse } from '#core/base'
import type { BookId, ClassId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { booksFor, closeRoute, learnersOf, openRoutes, saveRoute } from '#db/repositories'
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

/** What a teacher says of a textbook as practice. */
export interface RouteAsked {
  readonly classId: ClassId
  readonly bookId: BookId
  readonly isOpen: boolean
  /** To whom alone it is open; null: to the whole class. */
  readonly learnerIds?: readonly UserId[] | null
  /** Whether it waits for what comes first in the class. */
  readonly waits?: boolean
}

type RouteSet = Result<{ readonly bookIds: readonly BookId[] }, AccessRefusal | AudienceRefusal>

/**
 * Opens a textbook to a class, or to some of it, as practice of their own choice, or closes it; several stand side by
 * side. One that is open is changed.
 */
export async function setRoute(deps: Deps, actor: Teacher, input: RouteAsked): Promise<RouteSet> {
  return writing(deps.store, async (tx): Promise<RouteSet> => {
    const { classId, bookId, isOpen, learnerIds = null, waits = false } = input
    const found = await classFor(tx, actor, classId, 'run')
    if (!found.ok) return found
    const books = await booksFor(tx, actor.schoolId)
    if (!books.some((b) => b.id === bookId)) return refuse({ code: 'access/not-found', what: 'textbook' })
    const roster = new Set((await learnersOf(tx, [classId])).get(classId)?.map((l) => l.id))
    const stranger = learnerIds?.find((id) => !roster.has(id))
    if (stranger) return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: stranger })
    const open = await openRoutes(tx, [classId])
    const standing = open.find((r) => r.bookId === bookId)
    const now = deps.clock.now()
    if (!isOpen && standing) await closeRoute(tx, standing.id, now)
    if (isOpen) {
      const fresh = { id: deps.ids.newId(), classId, bookId, openedBy: actor.userId, openedAt: now }
      await saveRoute(tx, { ...(standing ?? { ...fresh, closedAt: null }), learnerIds, waits })
    }
    return ok({ bookIds: (await openRoutes(tx, [classId])).map((r) => r.bookId) })
  })
}
