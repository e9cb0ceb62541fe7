import { asId, ok, refuse } from '#core/base'
import type { ClassId, PlanId, Result, YearId } from '#core/base'
import { canSeePlan } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { checkPattern } from '#core/calendar'
import type { CalendarRefusal, PatternRow } from '#core/calendar'
import { AS_PLANNED } from '#core/pacing'
import type { Beginning } from '#core/pacing'
import { addClass, addTeacher, classesOfSchool, plansById, yearsById } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { putOn } from '../pacing/layPlan'
import { writing } from '../ground/writing'

export interface NewClass {
  readonly yearId: YearId
  readonly name: string
  readonly shortName: string
  readonly course: string
  readonly pattern: readonly PatternRow[]
  /** The plan that is laid on it at once; none for later. */
  readonly planId?: PlanId | null
  /** From where it is laid; null: from the year's first day. */
  readonly from?: Beginning | null
}
type Made = Result<{ readonly classId: ClassId; readonly joinCode: string }, AccessRefusal | CalendarRefusal>

/** Adds a class taught by the actor, with a joining code and, if wanted, a plan: all of it or nothing. */
export async function makeClass(deps: Deps, actor: Teacher, input: NewClass): Promise<Made> {
  const { planId, from = null, ...own } = input
  return writing(deps.store, async (tx): Promise<Made> => {
    const year = (await yearsById(tx, [input.yearId])).get(input.yearId)
    if (!year || year.isArchived || year.schoolId !== actor.schoolId)
      return refuse({ code: 'access/not-found', what: 'school year' })
    const plan = planId ? (await plansById(tx, [planId])).get(planId) : undefined
    if (planId && (!plan || plan.isArchived || !canSeePlan(actor, plan)))
      return refuse({ code: 'access/not-found', what: 'plan' })
    const pattern = checkPattern(year.year, input.pattern)
    if (!pattern.ok) return pattern
    const record = {
      ...own,
      id: asId<ClassId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      joinCode: deps.ids.newJoinCode(),
      joinOpen: true,
      archivedAt: null,
      archivedBy: null,
      planId: null,
      position: (await classesOfSchool(tx, actor.schoolId)).length,
      version: 1,
      pacing: AS_PLANNED,
    }
    await addClass(tx, record)
    await addTeacher(tx, record.id, actor.userId)
    if (planId) await putOn(tx, deps, record, { planId, from })
    return ok({ classId: record.id, joinCode: record.joinCode })
  })
}
