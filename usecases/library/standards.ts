import { ok, refuse } from '#core/base'
import type { Teacher } from '#core/access'
import { cardOfKind, neighbourhood, pathTo } from '#core/library'
import { gradesServed, cardsById, piecesServing, plansOf, standardsFor } from '#db/repositories'
import type { Connection, ResourceRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'
import { asCard } from './shelf'

/** As many steps back are drawn. */
const STEPS_DRAWN = 3

/**
 * A standard in words, what it needs and what needs it, the pieces that serve it, and the lessons of the actor's plans
 * that teach or assess it.
 */
export async function showStandard(deps: Pick<Deps, 'store'>, actor: Teacher, code: string) {
  const tx = deps.store.read
  const standards = await standardsFor(tx, actor.schoolId)
  const standard = standards.find((s) => s.code.toLowerCase() === code.toLowerCase())
  if (!standard) return refuse({ code: 'access/not-found' as const, what: 'standard' })
  const serving = await piecesServing(tx, actor, [standard.code])
  const cards = await cardsById(
    tx,
    serving.map((r) => r.resource.id),
  )
  const items = serving.flatMap((r) => r.resource.items).filter((i) => i.standard === standard.code)
  return ok({
    standard,
    path: pathTo(standard.code, standards),
    ...neighbourhood(standard.code, standards, STEPS_DRAWN),
    pieces: cards.map((card) => asCard(card, actor)),
    itemCount: items.length,
    planned: await planned(tx, actor, serving),
  })
}

/** Lessons of plans that the actor's classes have, or that are the actor's own, whose textbook lessons serve it. */
async function planned(tx: Connection, actor: Teacher, serving: readonly ResourceRecord[]) {
  const inUse = new Set((await classesInView(tx, actor)).map((c) => c.planId))
  const plans = (await plansOf(tx, actor.schoolId)).filter(
    (p) => p.ownerId === actor.userId || inUse.has(p.plan.id),
  )
  const howIn = (bookLessonId: string | null) => {
    const here = serving.filter((r) => r.bookLessonId !== null && r.bookLessonId === bookLessonId)
    const measures = ({ resource }: (typeof here)[number]) => cardOfKind(resource.kind).measures !== null
    const isAssessed = here.some(measures)
    const isTaught = !here.every(measures)
    return [...(isTaught ? ['taught' as const] : []), ...(isAssessed ? ['assessed' as const] : [])]
  }
  return plans.flatMap(({ plan }) =>
    plan.lessons.flatMap((lesson) =>
      howIn(lesson.bookLessonId).map((how) => ({
        planId: plan.id,
        planTitle: plan.title,
        number: lesson.number,
        title: lesson.title,
        how,
      })),
    ),
  )
}

/** In which grades the shelf has pieces for each standard, by code. */
export async function showGradesServed(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const grades = await gradesServed(deps.store.read, actor)
  return ok({ grades: Object.fromEntries(grades) })
}
