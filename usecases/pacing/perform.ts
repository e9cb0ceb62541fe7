import { ok, refuse } from '#core/base'
import type { Instant, Result } from '#core/base'
import type { CalendarRefusal } from '#core/calendar'
import { act, checkOutcome } from '#core/pacing'
import type { PacingCommand, PacingRefusal } from '#core/pacing'
import type { Connection } from '#db/repositories'
import type { Touched } from '../ground/stepping'
import { refreshWork } from '../settling/refreshWork'
import { savePlanning } from './planningState'
import type { Planning } from './planningState'

/**
 * Does a planning act on what was loaded for it: saves what it changes and moves the anchored work of its classes. What
 * is taken back was good once: only new acts are asked whether their fixed dates can be met.
 */
export async function perform(
  tx: Connection,
  planning: Planning,
  command: PacingCommand,
  { isNew, now }: { readonly isNew: boolean; readonly now: Instant },
): Promise<Result<Touched, PacingRefusal | CalendarRefusal>> {
  const done = act(planning.state, command)
  if (!done.ok) return done
  const next = done.value
  const bad = isNew ? checkOutcome(next, command) : null
  if (bad) return refuse(bad)
  const classIds = await savePlanning(tx, planning, next)
  const { moved, stuck } = await refreshWork(tx, classIds, now)
  const plans = [...next.plans.values()].filter((p) => p !== planning.state.plans.get(p.id))
  const year = next.year === planning.state.year ? null : next.year
  return ok({ classIds, planning: { moved, stuck, year, plans } })
}
