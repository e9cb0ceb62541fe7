import { ok, refuse } from '#core/base'
import type { ClassId, PlanId, Result, StandingId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { Plan } from '#core/pacing'
import { draftFor, settingOfPiece } from '#core/standing'
import type { StandingRefusal } from '#core/standing'
import { classWindow, windowsOfClass } from '#core/work'
import { resolveWindow } from '#core/availability'
import type { Window } from '#core/availability'
import { givenBefore, learnersOf, saveLaid, standingOf } from '#db/repositories'
import type { Connection, LaidRecord, StandingRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundFor } from '../ground/classGrounds'
import type { ClassGround } from '../ground/classGrounds'
import { writing } from '../ground/writing'
import { writeDown } from '../work/steps'
import { openWorkSession, makeAssignment } from '../work/workSession'
import type { WorkChange, WorkActRefusal } from '../work/workSession'
import { havingOf, laidName } from './offers'
import { planFor } from './planFor'

/** A piece of standing work in one class, as it would be laid there. */
export interface WouldBe {
  readonly standingId: StandingId
  readonly window: Window | null
  /** It is there already. */
  readonly isThere: boolean
  /** It cannot stand there: its lesson has no place, or a moment is after the year. */
  readonly isWithoutPlace: boolean
  /** All of its window is over. */
  readonly isOver: boolean
  /** Other work in which the class has the piece already; null: none. */
  readonly hadIn: string | null
}

type LayRefusal = WorkActRefusal | StandingRefusal | AccessRefusal

/** What laying a plan's standing work onto classes would make, class by class. */
export async function previewLay(
  deps: Pick<Deps, 'store' | 'clock'>,
  actor: Teacher,
  input: { readonly planId: PlanId; readonly classIds: readonly ClassId[] },
) {
  const tx = deps.store.read
  const found = await standingAndClasses(tx, actor, input)
  if (!found.ok) return found
  const { plan, standing, grounds } = found.value
  const learners = await learnersOf(tx, input.classIds)
  const { has } = await havingOf(tx, plan, standing, input.classIds)
  const there = new Set(has.flatMap((h) => (h.assignmentId ? [laidName(h)] : [])))
  const resourceIds = standing.flatMap((s) => s.piece.pieces.map((p) => p.resourceId))
  const given = new Map(
    (await givenBefore(tx, resourceIds, input.classIds, null)).map((g) => [
      `${g.classId} ${g.resourceId}`,
      g.title,
    ]),
  )
  const hadIn = (classId: ClassId, { piece }: StandingRecord) =>
    piece.pieces.flatMap((p) => given.get(`${classId} ${p.resourceId}`) ?? [])[0] ?? null
  const now = deps.clock.now()
  return ok({
    now,
    classes: grounds.map((ground) => ({
      classId: ground.record.id,
      name: ground.record.name,
      zone: ground.year.zone,
      learners: learners.get(ground.record.id)?.length ?? 0,
      rows: standing.map((record): WouldBe => {
        const window = windowIn(record, ground)
        const endsAt = window?.closes ?? window?.due ?? null
        return {
          standingId: record.id,
          window,
          isThere: there.has(laidName({ standingId: record.id, classId: ground.record.id })),
          isWithoutPlace: window === null,
          isOver: endsAt !== null && endsAt <= now,
          hadIn: hadIn(ground.record.id, record),
        }
      }),
    })),
  })
}

function windowIn({ piece }: StandingRecord, { record, ground }: ClassGround): Window | null {
  const draft = draftFor(piece, record.id)
  const stands = windowsOfClass(draft, record.id).every((spec) => resolveWindow(spec, ground).ok)
  return stands ? classWindow(draft, record.id, ground) : null
}

/** The plan's standing work that was not taken out, and classes of the actor on that plan. */
async function standingAndClasses(
  tx: Connection,
  actor: Teacher,
  input: { readonly planId: PlanId; readonly classIds: readonly ClassId[] },
): Promise<
  Result<
    {
      readonly plan: Plan
      readonly standing: readonly StandingRecord[]
      readonly grounds: readonly ClassGround[]
    },
    LayRefusal
  >
> {
  const plan = await planFor(tx, actor, input.planId, 'see')
  if (!plan.ok) return plan
  const grounds: ClassGround[] = []
  for (const classId of new Set(input.classIds)) {
    const ground = await groundFor(tx, actor, classId, 'run')
    if (!ground.ok) return ground
    const { planId, name } = ground.value.record
    if (planId !== input.planId)
      return refuse({ code: 'standing/other-plan', field: 'classIds', className: name })
    grounds.push(ground.value)
  }
  return ok({
    plan: plan.value.plan,
    standing: (await standingOf(tx, [input.planId])).filter((s) => !s.isGone),
    grounds,
  })
}

export type LaidOn = Result<{ readonly works: number; readonly classes: number }, LayRefusal>

/**
 * Makes standing work of a plan, chosen class by class, the work of these classes, held or published, as one step: a
 * copy for each class, which opens by itself when its layout reaches the lesson. What a class has is left as it is.
 */
export async function layStanding(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly planId: PlanId
    readonly classes: readonly {
      readonly classId: ClassId
      readonly standingIds: readonly StandingId[]
    }[]
    readonly publish: boolean
  },
): Promise<LaidOn> {
  return writing(deps.store, async (tx): Promise<LaidOn> => {
    const asked = new Map(input.classes.map((c) => [c.classId, new Set(c.standingIds)]))
    const classIds = [...asked.keys()]
    const found = await standingAndClasses(tx, actor, { planId: input.planId, classIds })
    if (!found.ok) return found
    const { plan, standing, grounds } = found.value
    const known = new Set(standing.map((s) => s.id))
    if (![...asked.values()].every((ids) => [...ids].every((id) => known.has(id))))
      return refuse({ code: 'access/not-found', what: 'piece of standing work' })
    const { has } = await havingOf(tx, plan, standing, classIds)
    const there = new Set(has.flatMap((h) => (h.assignmentId ? [laidName(h)] : [])))
    const session = openWorkSession(tx, deps, actor)
    const done: WorkChange[] = []
    const laid: LaidRecord[] = []
    for (const ground of grounds) {
      const { id: classId, name: className } = ground.record
      for (const record of standing.filter((s) => asked.get(classId)?.has(s.id))) {
        if (there.has(laidName({ standingId: record.id, classId }))) continue
        if (windowIn(record, ground) === null) {
          const { title } = record.piece
          return refuse({ code: 'standing/no-place', field: 'window', title, className })
        }
        const made = await makeAssignment(session, draftFor(record.piece, classId), input.publish)
        if (!made.ok) return made
        done.push(made.value)
        laid.push(laidAs(record, classId, made.value))
      }
    }
    if (done.length === 0) return refuse({ code: 'standing/nothing-to-lay', field: 'classIds' })
    await saveLaid(tx, laid)
    await writeDown(tx, deps, actor, { what: input.publish ? 'published' : 'made', done })
    return ok({ works: done.length, classes: new Set(laid.map((l) => l.classId)).size })
  })
}

/** What is remembered of a piece that was laid. */
export function laidAs({ id, piece }: StandingRecord, classId: ClassId, { after }: WorkChange): LaidRecord {
  return { standingId: id, classId, assignmentId: after.id, base: settingOfPiece(piece), refused: 0 }
}
