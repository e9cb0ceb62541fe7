import { ok, refuse } from '#core/base'
import type { ClassId, PlanId, Result } from '#core/base'
import { canEditPlan, canEditYear, canRunClass, canSeeClass } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { classesNotedIn, namedIn, singlesOf } from '#core/pacing'
import type { NamedIds, PacingCommand, PacingRefusal, PacingState } from '#core/pacing'
import {
  classesById,
  classesOfSchool,
  classesWithPlan,
  plansById,
  saveClass,
  savePlan,
  saveYear,
  teachersOf,
  yearsById,
} from '#db/repositories'
import type { ClassRecord, Connection, PlanRecord, YearRecord } from '#db/repositories'

/** What an act is about, loaded: the state it changes and the records that hold it. */
export interface Planning {
  /** Null: only plans that no class follows yet; they belong to no year. */
  readonly year: YearRecord | null
  readonly plans: ReadonlyMap<PlanId, PlanRecord>
  /** Classes that the act names, and those a note or plan reaches. */
  readonly classes: ReadonlyMap<ClassId, ClassRecord>
  readonly state: PacingState
}

/**
 * Loads what an act is about and checks that the actor may do it: change classes they teach, plans they own, and
 * the school year as office; a day note that names classes may be set by who teaches all of them.
 */
export async function loadPlanning(
  tx: Connection,
  actor: Teacher,
  command: PacingCommand,
): Promise<Result<Planning, AccessRefusal | PacingRefusal>> {
  const named = namedIn(command)
  if (named.yearIds.size > 1) return refuse({ code: 'pacing/two-years', field: 'commands' })
  const plans = await plansById(tx, [...named.planIds])
  for (const id of named.planIds) {
    const plan = plans.get(id)
    if (!plan || plan.schoolId !== actor.schoolId) return refuse({ code: 'access/not-found', what: 'plan' })
    if (!canEditPlan(actor, plan)) return refuse({ code: 'access/denied' })
  }
  const records = await classesById(tx, [...named.classIds])
  const allowed = await mayRunAll(tx, actor, [...named.classIds], records)
  if (!allowed.ok) return allowed
  const reached = [...records, ...(await reachedBy(tx, actor, named))]
  const yearId = [...named.yearIds][0] ?? reached[0]?.yearId
  const year = yearId ? (await yearsById(tx, [yearId])).get(yearId) : undefined
  if (!year && named.planIds.size === 0) return refuse({ code: 'access/not-found', what: 'school year' })
  if (
    year &&
    (year.schoolId !== actor.schoolId ||
      reached.some((r) => r.yearId !== year.year.id && named.classIds.has(r.id)))
  )
    return refuse({ code: 'access/not-found', what: 'school year' })
  const notes = await mayNote(tx, actor, command)
  if (!notes.ok) return notes
  const known = await knowsAll(tx, year, classesNotedIn(command))
  if (!known.ok) return known
  const all = new Map([
    ...plans,
    ...(await plansById(
      tx,
      reached.flatMap((r) => r.planId ?? []),
    )),
  ])
  const classes = new Map(reached.map((r) => [r.id, r]))
  return ok({
    year: year ?? null,
    plans: all,
    classes,
    state: { year: year?.year ?? null, plans: new Map([...all].map(([id, p]) => [id, p.plan])), classes },
  })
}

async function mayRunAll(
  tx: Connection,
  actor: Teacher,
  ids: readonly ClassId[],
  records: readonly ClassRecord[],
): Promise<Result<true, AccessRefusal>> {
  const teachers = await teachersOf(tx, ids)
  for (const id of ids) {
    const record = records.find((r) => r.id === id)
    const facts = record && { schoolId: record.schoolId, teacherIds: teachers.get(id) ?? [] }
    if (!facts || !canSeeClass(actor, facts)) return refuse({ code: 'access/not-found', what: 'class' })
    if (!canRunClass(actor, facts)) return refuse({ code: 'access/denied' })
  }
  return ok(true)
}

/** Classes that a note's year or a plan reaches beyond those named. */
async function reachedBy(
  tx: Connection,
  actor: Teacher,
  { classIds, yearIds, planIds }: NamedIds,
): Promise<ClassRecord[]> {
  const found =
    yearIds.size > 0 ? (await classesOfSchool(tx, actor.schoolId)).filter((c) => yearIds.has(c.yearId)) : []
  for (const id of planIds) found.push(...(await classesWithPlan(tx, id)))
  return found.filter((c, i) => !classIds.has(c.id) && found.findIndex((x) => x.id === c.id) === i)
}

async function mayNote(
  tx: Connection,
  actor: Teacher,
  command: PacingCommand,
): Promise<Result<true, AccessRefusal>> {
  if (canEditYear(actor, actor.schoolId)) return ok(true)
  for (const one of singlesOf(command)) {
    if (one.kind === 'year') return refuse({ code: 'access/denied' })
    if (one.kind !== 'note') continue
    for (const note of [one.from, one.to]) {
      if (note === null) continue
      if (note.classIds.length === 0) return refuse({ code: 'access/denied' })
      const mine = await mayRunAll(tx, actor, note.classIds, await classesById(tx, note.classIds))
      if (!mine.ok) return mine
    }
  }
  return ok(true)
}

/** Refused where a class is not one of the year: another school's is as unknown as one that never was. */
async function knowsAll(
  tx: Connection,
  year: YearRecord | undefined,
  ids: readonly ClassId[],
): Promise<Result<true, AccessRefusal>> {
  const found = new Set(
    (await classesById(tx, ids)).filter((c) => c.yearId === year?.year.id).map((c) => c.id),
  )
  return ids.every((id) => found.has(id)) ? ok(true) : refuse({ code: 'access/not-found', what: 'class' })
}

/** Saves what differs between two states of a planning; gives the classes whose layout may be another now. */
export async function savePlanning(
  tx: Connection,
  planning: Planning,
  next: PacingState,
): Promise<readonly ClassId[]> {
  const same = planning.state
  const mustSave = (done: boolean) => {
    if (!done) throw new Error('changed inside its own transaction')
  }
  if (next.year && next.year !== same.year && planning.year)
    mustSave(await saveYear(tx, next.year, planning.year.version))
  for (const [id, plan] of next.plans)
    if (plan !== same.plans.get(id))
      mustSave(await savePlan(tx, { ...(planning.plans.get(id) as PlanRecord), plan }))
  const touched: ClassId[] = []
  for (const [id, record] of planning.classes) {
    const { pacing, pattern } = next.classes.get(id) ?? record
    const isOther = pacing !== record.pacing || pattern !== record.pattern
    if (isOther) mustSave(await saveClass(tx, { ...record, pacing, pattern }))
    if (
      isOther ||
      next.year !== same.year ||
      (record.planId && next.plans.get(record.planId) !== same.plans.get(record.planId))
    )
      touched.push(id)
  }
  return touched
}
