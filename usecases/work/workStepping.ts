import { ok, refuse } from '#core/base'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { checkPart, namedClasses, noticesOf, stepped, stepsIn, takenBack } from '#core/work'
import type { WorkCommand, WorkRefusal, WorksCommand } from '#core/work'
import { addNotices, begunIn, learnerWorkOf, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { touching } from '../ground/stepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { worldLoader } from '../ground/world'
import { rescore } from '../settling/rescore'
import { settle } from '../settling/settle'
import { whereIn } from './draft'
import { workFor } from './workFor'

/** The classes that the work goes to. */
export type WorksStepped = Result<
  readonly ClassId[],
  AccessRefusal | AudienceRefusal | AvailabilityRefusal | WorkRefusal
>

/** Takes acts back, or does them again, in this order; the first refusal ends it. */
export async function stepWorks(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  commands: readonly WorkCommand[],
): Promise<WorksStepped> {
  const classIds = new Set<ClassId>()
  for (const command of commands) {
    const done = await stepWork(tx, deps, actor, command)
    if (!done.ok) return done
    for (const id of done.value) classIds.add(id)
  }
  return ok([...classIds])
}

/**
 * Takes an act on an assignment back, or does it again, and resolves it anew; tells which classes it goes to.
 * Refused when it was changed since, is no longer the actor's to change, or would take what learners have begun.
 */
async function stepWork(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  command: WorkCommand,
): Promise<WorksStepped> {
  const found = await workFor(tx, actor, command.assignmentId)
  if (!found.ok) return found
  const { assignment, goesTo, reach } = found.value
  const next = stepped(assignment, command, await begunIn(tx, assignment.id), deps.clock.now())
  if (!next.ok) return next
  const world = await worldLoader(tx)(assignment.authorId, namedClasses(next.value))
  const part = checkPart(reach, assignment, next.value, whereIn(world))
  if (!part.ok) return part
  if (reach !== 'whole' && next.value.state !== assignment.state)
    return refuse({ code: 'work/not-whole', field: 'targets' })
  await saveAssignment(tx, next.value)
  await rescore(tx, assignment, next.value)
  const now = deps.clock.now()
  const isTakenBack = next.value.state === 'withdrawn'
  if (isTakenBack && assignment.state === 'published')
    await addNotices(tx, noticesOf(await learnerWorkOf(tx, [assignment.id]), [], now))
  const settled = isTakenBack ? ok(0) : await settle(tx, next.value, world, now)
  return settled.ok ? ok([...new Set([...goesTo, ...namedClasses(next.value)])]) : settled
}

async function stepWorkAct(
  { tx, deps, actor, way }: StepIn,
  command: WorkCommand | WorksCommand,
): Promise<Stepped> {
  const changed = stepsIn(command)
  // what was done last is taken back first
  const acts = way === 'undo' ? [...changed].reverse().map(takenBack) : changed
  const done = await stepWorks(tx, deps, actor, acts)
  return done.ok ? ok(touching(done.value)) : done
}

/** Acts on work are taken back one assignment after the other, the last first. */
export const workStepping: SteppingOf<WorkCommand | WorksCommand> = {
  work: stepWorkAct,
  works: stepWorkAct,
}
