import { ok, refuse, same } from '#core/base'
import type { StandingCommand } from '#core/standing'
import { saveStanding, standingById } from '#db/repositories'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { planFor } from './planFor'

async function stepStanding(
  { tx, actor, way }: StepIn,
  { planId, standingId, ...of }: StandingCommand,
): Promise<Stepped> {
  const [from, to] = way === 'undo' ? [of.to, of.from] : [of.from, of.to]
  const found = await planFor(tx, actor, planId, 'edit')
  if (!found.ok) return found
  const record = await standingById(tx, standingId)
  const stands = record && !record.isGone ? record.piece : null
  if (!record || !same(stands, from)) {
    const title = (to ?? from)?.title ?? ''
    return refuse({ code: 'work/changed-since', field: 'state', title })
  }
  await saveStanding(tx, [{ ...record, isGone: to === null, piece: to ?? record.piece }])
  return ok(touching([]))
}

/** A change of a plan's standing work is taken back, or done again; refused when it was changed since. */
export const standingStepping: SteppingOf<StandingCommand> = { standing: stepStanding }
