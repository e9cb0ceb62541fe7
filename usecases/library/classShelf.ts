import { ok, refuse } from '#core/base'
import { combine } from '#core/combining'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { CLASS_SHELF_PARTS } from '#core/library'
import type { ClassShelf } from '#core/library'
import { booksFor, classShelfOf, plansById, saveClassShelf } from '#db/repositories'
import type { ClassRecord, Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'

/** A class's textbooks and usual narrowing; before anybody has said, the textbook on which its plan draws. */
export async function showClassShelf(deps: Pick<Deps, 'store'>, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  return ok(await shelfOf(tx, actor, found.value))
}

async function shelfOf(tx: Connection, actor: Teacher, of: ClassRecord): Promise<ClassShelf> {
  const kept = await classShelfOf(tx, of.id)
  return kept ?? { bookIds: await booksOfPlan(tx, actor, of.planId), filter: {} }
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

/**
 * Sets a class's textbooks and usual narrowing, from what was `seen` of them: what a colleague changed meanwhile stays
 * where it is about something else. Refused where it is about the same, and for textbooks that are not open to the
 * school.
 */
export async function setClassShelf(
  deps: Pick<Deps, 'store'>,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly shelf: ClassShelf
    /** Absent: as they stand. */
    readonly seen?: ClassShelf
  },
): Promise<Result<ClassShelf, AccessRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<ClassShelf, AccessRefusal>> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const known = new Set((await booksFor(tx, actor.schoolId)).map((b) => b.id))
    const bookIds = [...new Set(input.shelf.bookIds)]
    if (bookIds.some((id) => !known.has(id))) return refuse({ code: 'access/not-found', what: 'textbook' })
    const mine = { ...input.shelf, bookIds }
    const theirs = await shelfOf(tx, actor, found.value)
    const { value, clashes } = combine(CLASS_SHELF_PARTS, { seen: input.seen ?? theirs, mine, theirs })
    if (clashes.length > 0) return standsOtherwise()
    await saveClassShelf(tx, input.classId, value)
    return ok(value)
  })
}
