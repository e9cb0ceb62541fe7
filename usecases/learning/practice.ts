import { ok, refuse } from '#core/base'
import type { BookId, ClassId, Instant, ItemId, ResourceId, Result, UserId } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import { checkAnswers } from '#core/attempts'
import type { AttemptRefusal } from '#core/attempts'
import { cardOfKind, forLearner, missedIn, practised, withoutSolutions } from '#core/library'
import type { Answer, PracticeResult, Resource } from '#core/library'
import { lessonAt } from '#core/pacing'
import { firstInWay } from '#core/work'
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
import { workHoldingBack } from './heldBack'
import { listAt } from './myWork'

/** The practice routes of the actor's classes, in book order, with what they did and where each class is. */
export async function showPractice(deps: Pick<Deps, 'store' | 'clock'>, actor: Learner) {
  const tx = deps.store.read
  const routes = await routesFor(tx, actor)
  const waiting = await waitsFor(tx, { learnerId: actor.userId, at: deps.clock.now() }, routes)
  const books = (await booksFor(tx, actor.schoolId)).filter((b) => routes.some((r) => r.bookId === b.id))
  const cards = (
    await cardsOfBooks(
      tx,
      books.map((b) => b.id),
    )
  ).filter(({ kind }) => cardOfKind(kind).isForPractice)
  const done = new Map((await practisedBy(tx, [actor.userId])).map((p) => [p.resourceId, p]))
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
      return [{ id: route.id, className, title: book.title, waitsFor: waiting.get(route.id) ?? null, units }]
    }),
  })
}

/** Routes that are open to a learner: of their classes, and not for others alone. */
async function routesFor(tx: Connection, { userId }: Learner): Promise<readonly PracticeRoute[]> {
  const routes = await openRoutes(tx, await classesOfLearner(tx, userId))
  return routes.filter((r) => r.learnerIds === null || r.learnerIds.includes(userId))
}

/** What has to be finished before routes that wait, by route; one that is free is absent. */
async function waitsFor(
  tx: Connection,
  look: { readonly learnerId: UserId; readonly at: Instant },
  routes: readonly PracticeRoute[],
): Promise<ReadonlyMap<string, string>> {
  const waiting = routes.filter((r) => r.waits)
  if (waiting.length === 0) return new Map()
  const { work } = await listAt(tx, look)
  return new Map(
    waiting.flatMap((r) => {
      const first = firstInWay(work, r.classId)
      return first === null ? [] : [[r.id, first] as const]
    }),
  )
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

/** A piece of a textbook that is open to the actor as practice; refused while something comes first. */
async function pieceOfRoute(
  tx: Connection,
  actor: Learner,
  of: { readonly resourceId: ResourceId; readonly now: Instant },
): Promise<Result<Resource, AccessRefusal | AttemptRefusal>> {
  const record = await resourceById(tx, of.resourceId)
  const missing = refuse({ code: 'access/not-found' as const, what: 'piece' })
  if (!record || record.bookId === null || !cardOfKind(record.resource.kind).isForPractice) return missing
  const bookId: BookId = record.bookId
  const routes = (await routesFor(tx, actor)).filter((r) => r.bookId === bookId)
  if (routes.length === 0) return missing
  const waiting = await waitsFor(tx, { learnerId: actor.userId, at: of.now }, routes)
  const [title] = routes.flatMap((r) => waiting.get(r.id) ?? [])
  // one route that waits for nothing is enough
  if (title === undefined || waiting.size < routes.length) return ok(record.resource)
  return refuse({ code: 'attempts/first-things-first', field: 'assignmentId', title })
}

/** A piece of a route as its learner sees it, without keys. */
export async function openPractice(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Learner,
  resourceId: ResourceId,
) {
  const found = await pieceOfRoute(deps.store.read, actor, { resourceId, now: deps.clock.now() })
  if (!found.ok) return found
  const { title, kind, minutes, content, material, items } = found.value
  return ok({ title, kind, minutes, content, material, items: items.map((item) => forLearner(item, true)) })
}

type Done = Result<
  {
    readonly results: readonly PracticeResult[]
    readonly ratio: number | null
    readonly times: number
    /** The work for whose sake nothing is said of what is right; null: all is said. */
    readonly heldBackBy: string | null
  },
  AccessRefusal | AttemptRefusal
>

/**
 * Scores what a learner answered in practice, and shows at once what is right, but for a piece that work of theirs
 * gives out and does not show yet. Nothing of it counts.
 */
export async function checkPractice(
  deps: Deps,
  actor: Learner,
  input: {
    readonly resourceId: ResourceId
    readonly answers: readonly { readonly itemId: ItemId; readonly answer: Answer }[]
  },
): Promise<Done> {
  return writing(deps.store, async (tx): Promise<Done> => {
    const { resourceId } = input
    const now = deps.clock.now()
    const found = await pieceOfRoute(tx, actor, { resourceId, now })
    if (!found.ok) return found
    const { items } = found.value
    const checked = checkAnswers(items, input.answers)
    if (!checked.ok) return checked
    const answers = new Map(input.answers.map((a) => [a.itemId, a.answer]))
    const { results, ratio } = practised(items, answers)
    const { userId: learnerId } = actor
    const missed = missedIn(items, answers)
    const times = await addPractice(tx, { learnerId, resourceId, ratio, missed, doneAt: now })
    const heldBackBy = await workHoldingBack(tx, { learnerId, resourceId, now })
    return ok({
      results: heldBackBy === null ? results : withoutSolutions(results),
      ratio,
      times,
      heldBackBy,
    })
  })
}
