import { ok, refuse } from '#core/base'
import type { ClassId, PlanId, Result, StandingId } from '#core/base'
import type { Teacher } from '#core/access'
import { draftFor, settingOfPiece, withChanges } from '#core/standing'
import { draftOf } from '#core/work'
import { saveLaid, standingOf } from '#db/repositories'
import type { LaidRecord, StandingRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { groundFor } from '../ground/classGrounds'
import { writing } from '../ground/writing'
import { writeDown } from '../work/steps'
import { changeAssignment, openWorkSession, makeAssignment } from '../work/workSession'
import type { WorkSession, WorkChange, WorkActRefusal } from '../work/workSession'
import { withdrawAssignment } from '../work/withdrawWork'
import { workFor } from '../work/workFor'
import { laidAs } from './layStanding'
import { havingOf, laidName } from './offers'
import type { ClassHas } from './offers'
import { planFor } from './planFor'

export type Answered = Result<{ readonly works: number }, WorkActRefusal>

/**
 * A class takes over what its plan offers, or leaves it as it is, for chosen pieces, as one step. What the class made
 * its own stays its own; what the plan took out is withdrawn from the class.
 */
export async function answerOffers(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly planId: PlanId
    readonly classId: ClassId
    readonly standingIds: readonly StandingId[]
    readonly take: boolean
  },
): Promise<Answered> {
  return writing(deps.store, async (tx): Promise<Answered> => {
    const { planId, classId } = input
    const plan = await planFor(tx, actor, planId, 'see')
    if (!plan.ok) return plan
    const ground = await groundFor(tx, actor, classId, 'run')
    if (!ground.ok) return ground
    const records = new Map((await standingOf(tx, [planId])).map((s) => [s.id, s]))
    const { has, laid } = await havingOf(tx, plan.value.plan, [...records.values()], [classId])
    const asked = has.filter((h) => input.standingIds.includes(h.standingId) && h.offer.kind !== 'settled')
    if (asked.length < new Set(input.standingIds).size)
      return refuse({ code: 'access/not-found', what: 'offer' })
    const session = openWorkSession(tx, deps, actor)
    const done: WorkChange[] = []
    const kept: LaidRecord[] = []
    for (const one of asked) {
      const record = records.get(one.standingId)
      if (!record) continue
      const known = laid.get(laidName(one)) ?? null
      if (!input.take) {
        kept.push(leftAsIs(record, classId, known))
        continue
      }
      const taken = await take(session, { publish: publishes(has), record, one, known })
      if (!taken.ok) return taken
      done.push(taken.value.done)
      kept.push(taken.value.laid)
    }
    await saveLaid(tx, kept)
    if (done.length > 0) await writeDown(tx, deps, actor, { what: 'changed', done })
    return ok({ works: done.length })
  })
}

function leftAsIs({ id, version }: StandingRecord, classId: ClassId, known: LaidRecord | null): LaidRecord {
  const none = { standingId: id, classId, assignmentId: null, base: null }
  return { ...(known ?? none), refused: version }
}

/** Published, unless the class holds all that it has of the plan's standing work. */
function publishes(has: readonly ClassHas[]): boolean {
  const states = has.flatMap((h) => h.state ?? [])
  return states.length === 0 || states.includes('published')
}

interface Taking {
  readonly publish: boolean
  readonly record: StandingRecord
  readonly one: ClassHas
  readonly known: LaidRecord | null
}

async function take(
  session: WorkSession,
  { publish, record, one, known }: Taking,
): Promise<Result<{ readonly done: WorkChange; readonly laid: LaidRecord }, WorkActRefusal>> {
  const { classId, assignmentId } = one
  if (assignmentId === null || known?.base == null) {
    const made = await makeAssignment(session, draftFor(record.piece, classId), publish)
    return made.ok ? ok({ done: made.value, laid: laidAs(record, classId, made.value) }) : made
  }
  const found = await workFor(session.tx, session.actor, assignmentId)
  if (!found.ok) return found
  const { assignment } = found.value
  if (one.offer.kind === 'gone') {
    const { version } = assignment
    const gone = await withdrawAssignment(session.tx, session.deps, session.actor, { assignmentId, version })
    return gone.ok ? ok({ done: gone.value, laid: known }) : gone
  }
  const next = withChanges(draftOf(assignment), known.base, settingOfPiece(record.piece))
  const changed = await changeAssignment(session, found.value, next)
  return changed.ok ? ok({ done: changed.value, laid: laidAs(record, classId, changed.value) }) : changed
}
