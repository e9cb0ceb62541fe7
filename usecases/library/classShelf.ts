import { ok, refuse } from '#core/base'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { ClassShelf } from '#core/library'
import { booksFor, classShelfOf, plansById, saveClassShelf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

/** A class's textbooks and usual narrowing; before anybody has said, the textbook on which its plan draws. */
export async function showClassShelf(deps: Pick<Deps, 'store'>, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const kept = await classShelfOf(tx, classId)
  if (kept) return ok(kept)
  const bookIds = await booksOfPlan(tx, actor, found.value.planId)
  return ok({ bookIds, filter: {} })
}

async function booksOfPlan(
  tx: Connection,
  actor: Teacher,
  planId: Parameters<typeof plansById>[1][number] | null,
) {
  if (planId === null) return []
  const plan = (await plansById(tx, [planId])).get(planId)?.plan
  const drawnOn = new Set(plan?.lessons.flatMap((l) => l.bookLessonId ?? []))
  const books = await booksFor(tx, actor.schoolId)
  return books.filter((b) => b.units.some((u) => u.lessons.some((l) => drawnOn.has(l.id)))).map((b) => b.id)
}

/** Sets a class's textbooks and usual narrowing. Refused for textbooks that are not open to the school. */
export async function setClassShelf(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly shelf: ClassShelf },
): Promise<Result<ClassShelf, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<ClassShelf, AccessRefusal>> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const known = new Set((await booksFor(tx, actor.schoolId)).map((b) => b.id))
    const bookIds = [...new Set(input.shelf.bookIds)]
    if (bookIds.some((id) => !known.has(id))) return refuse({ code: 'access/not-found', what: 'textbook' })
    const shelf = { ...input.shelf, bookIds }
    await saveClassShelf(tx, input.classId, shelf)
    return ok(shelf)
  })
}
