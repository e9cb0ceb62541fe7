import { ok } from '#core/base'
import type { PlanId } from '#core/base'
import { canEditPlan, canRunClass } from '#core/access'
import type { Teacher } from '#core/access'
import { learnersOf, resourcesById, standingOf, teachersOf } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'
import { havingOf } from './offers'
import { planFor } from './planFor'

/** A plan's standing work, and what the actor's classes on that plan have of it. */
export async function showStanding(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  input: { readonly planId: PlanId },
) {
  const tx = deps.store.read
  const found = await planFor(tx, actor, input.planId, 'see')
  if (!found.ok) return found
  const { plan } = found.value
  const standing = await standingOf(tx, [plan.id])
  const mine = (await classesInView(tx, actor)).filter((c) => c.planId === plan.id)
  const ids = mine.map((c) => c.id)
  const teachers = await teachersOf(tx, ids)
  const learners = await learnersOf(tx, ids)
  const { has } = await havingOf(tx, plan, standing, ids)
  const resources = await resourcesById(
    tx,
    standing.flatMap((s) => s.piece.pieces.map((p) => p.resourceId)),
  )
  return ok({
    plan,
    mayEdit: canEditPlan(actor, found.value),
    standing: standing.filter((s) => !s.isGone).map(({ id, version, piece }) => ({ id, version, piece })),
    gone: standing.filter((s) => s.isGone).map(({ id, piece }) => ({ id, title: piece.title })),
    classes: mine.map(({ id, name, shortName, schoolId }) => ({
      id,
      name,
      shortName,
      learners: learners.get(id)?.length ?? 0,
      mayChange: canRunClass(actor, { schoolId, teacherIds: teachers.get(id) ?? [] }),
    })),
    has,
    pieces: [...resources.values()].map(({ resource, revision }) => ({
      id: resource.id,
      code: resource.code,
      title: resource.title,
      kind: resource.kind,
      minutes: resource.minutes,
      revision,
    })),
  })
}
