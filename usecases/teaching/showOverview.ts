import { ok } from '#core/base'
import type { Instant } from '#core/base'
import { canArchiveClass, canEditYear } from '#core/access'
import type { Teacher } from '#core/access'
import { meetingsPlanned } from '#core/pacing'
import { archivedFor, learnersOf, plansOf, teachersOf, yearsOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'

/** Years, classes and plans of a teacher; what is missing tells what to do first. */
export async function showOverview(deps: Deps, actor: Teacher) {
  const tx = deps.store.read
  const records = await classesInView(tx, actor)
  const [years, plans, learners, teachers] = [
    await yearsOf(tx, actor.schoolId),
    await plansOf(tx, actor.schoolId),
    await learnersOf(
      tx,
      records.map((r) => r.id),
    ),
    await teachersOf(
      tx,
      records.map((r) => r.id),
    ),
  ]
  return ok({
    years: years.map(({ year, version }) => ({ year, version })),
    classes: records.map(({ id, name, shortName, course, planId, yearId }) => ({
      id,
      name,
      shortName,
      course,
      planId,
      yearId,
      planTitle: plans.find((p) => p.plan.id === planId)?.plan.title ?? null,
      learners: learners.get(id)?.length ?? 0,
      mine: teachers.get(id)?.includes(actor.userId) ?? false,
      isOwn: teachers.get(id)?.[0] === actor.userId,
    })),
    plans: plans.map(({ plan, ownerId }) => ({
      id: plan.id,
      title: plan.title,
      course: plan.course,
      lessons: plan.lessons.length,
      meetings: meetingsPlanned(plan.lessons),
      mine: ownerId === actor.userId,
    })),
    mayEditYear: canEditYear(actor, actor.schoolId),
    archived: await archiveOf(tx, actor, deps.clock.now()),
  })
}

/** So long it is told who took a class out of use. */
const NEWS_MS = 30 * 24 * 3600_000

/** What is in the archive and was the actor's, too; whether they may bring it back. */
async function archiveOf(tx: Connection, actor: Teacher, now: Instant) {
  const { schoolId, userId } = actor
  const gone = await archivedFor(tx, { schoolId, userId, withYears: canEditYear(actor, schoolId) })
  const classIds = gone.flatMap((g) => (g.kind === 'class' ? [g.id] : []))
  const taughtBy = await teachersOf(tx, classIds)
  return gone.map(({ goneAt = null, goneBy = null, ...thing }) => {
    const teacherIds = thing.kind === 'class' ? (taughtBy.get(thing.id) ?? []) : []
    const mayBringBack = thing.kind !== 'class' || canArchiveClass(actor, { schoolId, teacherIds })
    const isNews = goneAt !== null && now - goneAt < NEWS_MS
    return { ...thing, goneAt, goneBy: isNews ? goneBy : null, mayBringBack }
  })
}
