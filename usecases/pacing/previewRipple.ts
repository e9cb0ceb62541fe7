import { ok, refuse } from '#core/base'
import type { ComputeRefusal, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { CalendarRefusal } from '#core/calendar'
import { act, checkOutcome } from '#core/pacing'
import type { PacingCommand, PacingRefusal } from '#core/pacing'
import { assignmentIdsTouching, assignmentsById, begunBy, learnersOf } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { classesInView } from '../ground/classAccess'
import { loadPlanning } from './planningState'
import type { ClassRipple } from '#core/knockOn'

/**
 * What a change would do to every class in view that it reaches, for each way out, anchored work included.
 * Changes nothing.
 */
export async function previewRipple(
  deps: Deps,
  actor: Teacher,
  change: PacingCommand,
): Promise<
  Result<
    { readonly classes: readonly ClassRipple[] },
    AccessRefusal | PacingRefusal | CalendarRefusal | ComputeRefusal
  >
> {
  const tx = deps.store.read
  const planning = await loadPlanning(tx, actor, change)
  if (!planning.ok) return planning
  const { state, classes } = planning.value
  const changed = act(state, change)
  if (!changed.ok) return changed
  const bad = checkOutcome(changed.value, change)
  if (bad) return refuse(bad)
  const inView = new Set((await classesInView(tx, actor)).map((c) => c.id))
  const reached = [...classes.values()]
    .filter((c) => inView.has(c.id) && c.planId !== null)
    .sort((a, b) => a.position - b.position)
  const work = (
    await assignmentsById(
      tx,
      await assignmentIdsTouching(
        tx,
        reached.map((c) => c.id),
      ),
    )
  ).filter((w) => w.state !== 'withdrawn')
  const begun = await begunBy(
    tx,
    work.map((w) => w.id),
  )
  const rosters = await learnersOf(
    tx,
    reached.map((c) => c.id),
  )
  const ripples = await deps.heavy.run('ripples', {
    change,
    before: state,
    after: changed.value,
    classIds: reached.map((c) => c.id),
    work,
    rosters: new Map([...rosters].map(([id, learners]) => [id, new Set(learners.map((l) => l.id))])),
    begun,
  })
  return ripples.ok ? ok({ classes: ripples.value }) : ripples
}
