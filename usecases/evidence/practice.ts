import { groupBy, ok } from '#core/base'
import type { ClassId } from '#core/base'
import type { Teacher } from '#core/access'
import { cardOfKind, practisedTogether } from '#core/library'
import { booksFor, cardsOfBooks, learnersOf, openRoutes, practisedBy, resourcesById } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classFor } from '../ground/classAccess'

/**
 * What the learners of a class practised of their own choice, by textbook and lesson: who, how often, and where it went
 * wrong the last time. Textbooks that are open to it, and closed ones of which something was done; pieces that nobody
 * did are left out.
 */
export async function showClassPractice(deps: Pick<Deps, 'store'>, actor: Teacher, classId: ClassId) {
  const tx = deps.store.read
  const found = await classFor(tx, actor, classId, 'see')
  if (!found.ok) return found
  const learners = (await learnersOf(tx, [classId])).get(classId) ?? []
  const nameOf = new Map(learners.map((l) => [l.id, l.name]))
  const routes = new Map((await openRoutes(tx, [classId])).map((r) => [r.bookId, r]))
  const doneOf = groupBy(await practisedBy(tx, [...nameOf.keys()]), (p) => p.resourceId)
  const books = await booksFor(tx, actor.schoolId)
  const cards = await cardsOfBooks(
    tx,
    books.map((b) => b.id),
  )
  const practised = cards.filter((c) => cardOfKind(c.kind).isForPractice && doneOf.has(c.id))
  const pieces = await resourcesById(
    tx,
    practised.map((c) => c.id),
  )
  const pieceOf = (card: (typeof practised)[number]) => {
    const each = doneOf.get(card.id) ?? []
    const items = pieces.get(card.id)?.resource.items ?? []
    const { times, mean, missed } = practisedTogether(each)
    return {
      id: card.id,
      title: card.title,
      times,
      mean,
      learners: each
        .map((p) => ({
          id: p.learnerId,
          name: nameOf.get(p.learnerId) ?? '',
          times: p.times,
          ratio: p.ratio,
        }))
        .sort((a, b) => a.name.localeCompare(b.name)),
      missed: missed.flatMap((m) => {
        const at = items.findIndex((item) => item.id === m.itemId)
        const item = items[at]
        return item ? [{ number: at + 1, stem: item.stem, learners: m.learners }] : []
      }),
    }
  }
  return ok({
    className: found.value.name,
    learners: learners.map(({ id, name }) => ({ id, name })),
    books: books.flatMap((book) => {
      const route = routes.get(book.id) ?? null
      const lessons = book.units
        .flatMap((u) => u.lessons)
        .map(({ id, number, title }) => ({
          number,
          title,
          pieces: practised.filter((c) => c.bookLessonId === id).map(pieceOf),
        }))
        .filter((l) => l.pieces.length > 0)
      if (!route && lessons.length === 0) return []
      const open = route && { learnerIds: route.learnerIds, waits: route.waits }
      return [{ id: book.id, title: book.title, open, lessons }]
    }),
  })
}
