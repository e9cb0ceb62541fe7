import { ok, refuse } from '#core/base'
import type { BookId, ClassId, ItemId, ResourceId, Result } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import { checkAnswers } from '#core/attempts'
import type { AttemptRefusal } from '#core/attempts'
import { cardOfKind, forLearner, practised } from '#core/library'
import type { Answer, PracticeResult, Resource } from '#core/library'
import { lessonAt } from '#core/pacing'
import {
  addPractice,
  booksFor,
  cardsOfBooks,
  classesById,
  classesOfLearner,
  openRoutes,
  practisedBy,
  resourceById,
} from '#db/repositories'
import type { Connection, PracticeRoute } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundsOf } from '../ground/classGrounds'
import { writing } from '../ground/writing'

/** The practice routes of the actor's classes, in book order, with what they did and where each class is. */
export async function showPractice(deps: Pick<Deps, 'store' | 'clock'>, actor: Learner) {
  const tx = deps.store.read
  const routes = await openRoutes(tx, await classesOfLearner(tx, actor.userId))
  const books = (await booksFor(tx, actor.schoolId)).filter((b) => routes.some((r) => r.bookId === b.id))
  const cards = (
    await cardsOfBooks(
      tx,
      books.map((b) => b.id),
    )
  ).filter(({ kind }) => cardOfKind(kind).isForPractice)
  const done = new Map((await practisedBy(tx, actor.userId)).map((p) => [p.resourceId, p]))
  const here = await whereClassesAre(deps, routes)
  return ok({
    routes: routes.flatMap((route) => {
      const book = books.find((b) => b.id === route.bookId)
      if (!book) return []
      const units = book.units.map((unit) => ({
        number: unit.number,
        title: unit.title,
        lessons: unit.lessons.map(({ id, number, title }) => ({
          number,
          title,
          isHere: here.get(route.classId)?.lesson === id,
          pieces: cards
            .filter((c) => c.bookLessonId === id)
            .map((c) => ({
              id: c.id,
              title: c.title,
              kind: c.kind,
              minutes: c.minutes,
              itemCount: c.itemCount,
              times: done.get(c.id)?.times ?? 0,
              ratio: done.get(c.id)?.ratio ?? null,
            })),
        })),
      }))
      const className = here.get(route.classId)?.name ?? ''
      return [{ id: route.id, className, title: book.title, units }]
    }),
  })
}

/** By class its name, and the textbook lesson at which it is. */
async function whereClassesAre(
  { store, clock }: Pick<Deps, 'store' | 'clock'>,
  routes: readonly PracticeRoute[],
): Promise<ReadonlyMap<ClassId, { readonly name: string; readonly lesson: string | null }>> {
  const tx = store.read
  const ids = [...new Set(routes.map((r) => r.classId))]
  const records = [...(await classesById(tx, ids)).values()]
  const grounds = await groundsOf(tx, records)
  return new Map(
    records.map((record) => {
      const { plan, layout, calendar } = grounds.get(record.id) ?? {}
      const at = layout && calendar ? lessonAt(layout, calendar.meetings, clock.now()) : null
      const lesson = plan?.lessons.find((l) => l.id === at)?.bookLessonId ?? null
      return [record.id, { name: record.name, lesson }]
    }),
  )
}

/** A piece of a textbook that is open to the actor as practice. */
async function pieceOfRoute(
  tx: Connection,
  actor: Learner,
  resourceId: ResourceId,
): Promise<Result<Resource, AccessRefusal>> {
  const record = await resourceById(tx, resourceId)
  const missing = refuse({ code: 'access/not-found' as const, what: 'piece' })
  if (!record || record.bookId === null || !cardOfKind(record.resource.kind).isForPractice) return missing
  const bookId: BookId = record.bookId
  const routes = await openRoutes(tx, await classesOfLearner(tx, actor.userId))
  return routes.some((r) => r.bookId === bookId) ? ok(record.resource) : missing
}

/** A piece of a route as its learner sees it, without keys. */
export async function openPractice(deps: Pick<Deps, 'store'>, actor: Learner, resourceId: ResourceId) {
  const found = await pieceOfRoute(deps.store.read, actor, resourceId)
  if (!found.ok) return found
  const { title, kind, minutes, content, material, items } = found.value
  return ok({ title, kind, minutes, content, material, items: items.map((item) => forLearner(item, true)) })
}

type Done = Result<
  { readonly results: readonly PracticeResult[]; readonly ratio: number | null; readonly times: number },
  AccessRefusal | AttemptRefusal
>

/** Scores what a learner answered in practice, and shows at once what is right. Nothing of it counts. */
export async function checkPractice(
  deps: Deps,
  actor: Learner,
  input: {
    readonly resourceId: ResourceId
    readonly answers: readonly { readonly itemId: ItemId; readonly answer: Answer }[]
  },
): Promise<Done> {
  return writing(deps.store, async (tx): Promise<Done> => {
    const found = await pieceOfRoute(tx, actor, input.resourceId)
    if (!found.ok) return found
    const { items } = found.value
    const checked = checkAnswers(items, input.answers)
    if (!checked.ok) return checked
    const { results, ratio } = practised(items, new Map(input.answers.map((a) => [a.itemId, a.answer])))
    const times = await addPractice(tx, {
      learnerId: actor.userId,
      resourceId: input.resourceId,
      ratio,
      doneAt: deps.clock.now(),
    })
    return ok({ results, ratio, times })
  })
}
