import { ok } from '#core/base'
import { canEditYear } from '#core/access'
import type { Teacher } from '#core/access'
import { meetingsPlanned } from '#core/pacing'
import { archivedFor, learnersOf, plansOf, teachersOf, yearsOf } from '#db/repositories'
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
    archived: await archivedFor(tx, {
      schoolId: actor.schoolId,
      userId: actor.userId,
      withYears: canEditYear(actor, actor.schoolId),
    }),
  })
}
