import { asId, ok, refuse, same } from '#core/base'
import type { PlanId, Result, StandingId } from '#core/base'
import { canSeeResource } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import type { JournalCommand } from '#core/journal'
import { MOST_STANDING, checkStanding } from '#core/standing'
import type { StandingCommand, StandingPiece, StandingRefusal } from '#core/standing'
import type { Plan } from '#core/pacing'
import type { WorkRefusal } from '#core/work'
import { addToJournal, resourcesById, saveStanding, standingById, standingOf } from '#db/repositories'
import type { Connection, StandingRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { changedMeanwhile } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { planFor } from './planFor'

export type KeepRefusal = AccessRefusal | StandingRefusal | WorkRefusal
export type Kept = Result<{ readonly standingIds: readonly StandingId[] }, KeepRefusal>

/** Adds pieces to a plan's standing work, each an act of its own: classes on which it was laid are offered them. */
export async function addStanding(
  deps: Deps,
  actor: Teacher,
  input: { readonly planId: PlanId; readonly pieces: readonly StandingPiece[] },
): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    const found = await planFor(tx, actor, input.planId, 'edit')
    if (!found.ok) return found
    const known = await standingOf(tx, [input.planId])
    const there = known.filter((s) => !s.isGone).length
    if (there + input.pieces.length > MOST_STANDING)
      return refuse({ code: 'standing/too-many', field: 'lessonId', most: MOST_STANDING })
    const added: StandingRecord[] = []
    for (const [i, piece] of input.pieces.entries()) {
      const good = await checkedPiece(tx, actor, piece, found.value.plan, null)
      if (!good.ok) return good
      const id = asId<StandingId>(deps.ids.newId())
      added.push({ id, planId: input.planId, position: known.length + i, version: 0, isGone: false, piece })
    }
    await saveStanding(tx, added)
    for (const { id, piece } of added)
      await note(tx, deps, actor, input.planId, { id, from: null, to: piece })
    return ok({ standingIds: added.map((a) => a.id) })
  })
}

/** Changes a piece of standing work, or (null) takes it out; classes that have it are offered the change. */
export async function changeStanding(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly planId: PlanId
    readonly standingId: StandingId
    readonly version: number
    readonly piece: StandingPiece | null
  },
): Promise<Kept> {
  return writing(deps.store, async (tx): Promise<Kept> => {
    const found = await planFor(tx, actor, input.planId, 'edit')
    if (!found.ok) return found
    const record = await standingById(tx, input.standingId)
    if (!record || record.planId !== input.planId || record.isGone)
      return refuse({ code: 'access/not-found', what: 'piece of standing work' })
    const { version: now } = record
    if (now !== input.version) {
      const isIt = (act: JournalCommand) => act.kind === 'standing' && act.standingId === record.id
      return changedMeanwhile(tx, actor, { seen: input.version, now, id: input.planId, isIt })
    }
    const { piece } = input
    if (piece !== null) {
      const good = await checkedPiece(tx, actor, piece, found.value.plan, record.piece)
      if (!good.ok) return good
      if (same(piece, record.piece)) return ok({ standingIds: [record.id] })
    }
    await saveStanding(tx, [{ ...record, isGone: piece === null, piece: piece ?? record.piece }])
    await note(tx, deps, actor, input.planId, { id: record.id, from: record.piece, to: piece })
    return ok({ standingIds: [record.id] })
  })
}

async function checkedPiece(
  tx: Connection,
  actor: Teacher,
  piece: StandingPiece,
  plan: Plan,
  stands: StandingPiece | null,
): Promise<Result<StandingPiece, KeepRefusal>> {
  const found = await resourcesById(
    tx,
    piece.pieces.map((p) => p.resourceId),
  )
  for (const { resourceId, revision } of piece.pieces) {
    const known = found.get(resourceId)
    const isThere = stands?.pieces.some((p) => p.resourceId === resourceId) ?? false
    if (!known || !(isThere || canSeeResource(actor, known)) || revision > known.revision)
      return refuse({ code: 'access/not-found', what: 'piece' })
  }
  return checkStanding(piece, plan)
}

async function note(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  planId: PlanId,
  { id, from, to }: Pick<StandingCommand, 'from' | 'to'> & { readonly id: StandingId },
): Promise<void> {
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    actorId: actor.userId,
    touches: [planId],
    at: deps.clock.now(),
    command: { kind: 'standing', planId, standingId: id, from, to },
  })
}
