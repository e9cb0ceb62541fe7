import { refuse, ok } from '#core/base'
import type { ClassId, PlanId } from '#core/base'
import { canSeePlan } from '#core/access'
import type { Teacher } from '#core/access'
import { AS_PLANNED, baselineOf, beginningOn, withoutPlace } from '#core/pacing'
import type { Beginning, ClassPacing } from '#core/pacing'
import { dropJournalOf, plansById, saveClass } from '#db/repositories'
import type { ClassRecord, Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { refreshWork } from '../settling/refreshWork'
import { groundsOf } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'

/**
 * Lays a plan onto classes the actor teaches, from the year's first day or, with `from`, from a day and lesson on. A
 * class that has the plan keeps it as it is; without anything of its own it begins anew where that is asked. What does
 * not fit is listed for the class with least room; `kept` names those where nothing was laid. Refused as a whole where
 * a colleague laid yet another plan on one of them since it was seen.
 */
export async function layPlan(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly planId: PlanId
    readonly classIds: readonly ClassId[]
    readonly from?: Beginning | null
    /** The plans that were seen, in the order of the classes; absent: as they stand. */
    readonly seen?: readonly (PlanId | null)[]
  },
) {
  return writing(deps.store, async (tx) => {
    const known = (await plansById(tx, [input.planId])).get(input.planId)
    if (!known || known.isArchived || !canSeePlan(actor, known))
      return refuse({ code: 'access/not-found' as const, what: 'plan' })
    const { from = null } = input
    if (from?.nextId && !known.plan.lessons.some((l) => l.id === from.nextId))
      return refuse({ code: 'access/not-found' as const, what: 'lesson' })
    const laid: ClassRecord[] = []
    const kept: string[] = []
    for (const classId of new Set(input.classIds)) {
      const found = await classFor(tx, actor, classId, 'run')
      if (!found.ok) return found
      const stands = found.value.planId
      const before = input.seen ? (input.seen[input.classIds.indexOf(classId)] ?? null) : stands
      if (stands !== before && stands !== input.planId) return standsOtherwise()
      const isNew = found.value.planId !== input.planId
      const mayBeginAnew = from !== null && isUntouched(found.value.pacing)
      const isLaid = isNew || mayBeginAnew
      laid.push(isLaid ? await putOn(tx, deps, found.value, { planId: input.planId, from }) : found.value)
      if (!isLaid) kept.push(found.value.name)
    }
    const grounds = [...(await groundsOf(tx, laid)).values()]
    await refreshWork(
      tx,
      laid.map((r) => r.id),
      deps.clock.now(),
    )
    return ok({ classes: laid.length, kept, ...fitOf(grounds) })
  })
}

/** Whether nothing was recorded in a class, and nothing of the plan is other there. */
function isUntouched({ records, lengths, fixed, added, order, left }: ClassPacing): boolean {
  const own = Object.keys({ ...records, ...lengths, ...fixed, ...added })
  return own.length === 0 && order === null && Object.values(left).every((why) => why === 'not-ours')
}

/**
 * Lays a plan on one class. What it did differently belongs to the plan that goes; lost meetings stay. The layout it
 * starts with is its baseline.
 */
export async function putOn(
  tx: Connection,
  deps: Deps,
  record: ClassRecord,
  { planId, from }: { readonly planId: PlanId; readonly from: Beginning | null },
): Promise<ClassRecord> {
  const asPlanned = { ...record, planId, pacing: { ...AS_PLANNED, changes: record.pacing.changes } }
  const { plan, calendar: whole } = (await groundsOf(tx, [asPlanned])).get(record.id) as ClassGround
  const pacing = plan && from ? beginningOn(asPlanned.pacing, plan, whole.meetings, from) : asPlanned.pacing
  const bare = { ...asPlanned, pacing }
  const { layout, calendar } = (await groundsOf(tx, [bare])).get(record.id) as ClassGround
  const next = {
    ...bare,
    pacing: {
      ...bare.pacing,
      baseline: layout ? baselineOf(layout, calendar.meetings, deps.clock.now()) : null,
    },
  }
  await saveClass(tx, next)
  await dropJournalOf(tx, record.id)
  return { ...next, version: next.version + 1 }
}

/** Placed, left over and not placed, of the class with least room. */
function fitOf(grounds: readonly ClassGround[]) {
  const fits = grounds.map(({ plan, layout }) => ({
    placed: layout?.placements.filter((p) => p.placed).length ?? 0,
    slackHalves: layout?.slackHalves ?? 0,
    notPlaced: (layout ? withoutPlace(layout) : []).flatMap((p) => {
      const lesson = plan?.lessons.find((l) => l.id === p.lessonId)
      return !lesson
        ? []
        : [
            {
              lessonId: p.lessonId,
              number: lesson.number,
              title: lesson.title,
              needHalves: p.halves,
              freeHalves: 'freeHalves' in p.because ? p.because.freeHalves : null,
            },
          ]
    }),
  }))
  return (
    fits.sort((a, b) => b.notPlaced.length - a.notPlaced.length || a.slackHalves - b.slackHalves)[0] ?? {
      placed: 0,
      slackHalves: 0,
      notPlaced: [],
    }
  )
}
