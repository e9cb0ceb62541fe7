import { ok, refuse } from '#core/base'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { checkPart, namedClasses, noticesOf, stepped } from '#core/work'
import type { WorkAct, WorkCommand, WorkRefusal } from '#core/work'
import { addNotices, addToJournal, begunIn, learnerWorkOf, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { whereIn } from './draft'
import { settle } from './settle'
import { commandOf, touchedBy } from './within'
import type { DoneToWork } from './within'
import { workFor } from './workFor'
import { worldLoader } from './world'

/** Writes an act on one or several assignments down, so that it can be taken back as one step. */
export async function writeDown(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  what: WorkAct,
  done: readonly Omit<DoneToWork, 'learners'>[],
): Promise<void> {
  const steps = done.map((one) => commandOf(what, one))
  const [first] = steps
  if (!first) return
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    actorId: actor.userId,
    touches: touchedBy(done),
    at: deps.clock.now(),
    command: steps.length === 1 ? first : { kind: 'works', what, steps },
  })
}

export type Stepped = Result<
  readonly ClassId[],
  AccessRefusal | AudienceRefusal | AvailabilityRefusal | WorkRefusal
>

/** Takes acts back, or does them again, in this order; the first refusal ends it. */
export async function stepWorks(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  commands: readonly WorkCommand[],
): Promise<Stepped> {
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
async function stepWork(tx: Connection, deps: Deps, actor: Actor, command: WorkCommand): Promise<Stepped> {
  const found = await workFor(tx, actor, command.assignmentId)
  if (!found.ok) return found
  const { assignment, goesTo, hand } = found.value
  const next = stepped(assignment, command, await begunIn(tx, assignment.id), deps.clock.now())
  if (!next.ok) return next
  const world = await worldLoader(tx)(assignment.authorId, namedClasses(next.value))
  const part = checkPart(hand, assignment, next.value, whereIn(world))
  if (!part.ok) return part
  if (hand !== 'whole' && next.value.state !== assignment.state)
    return refuse({ code: 'work/not-whole', field: 'targets' })
  await saveAssignment(tx, next.value)
  const now = deps.clock.now()
  const isTakenBack = next.value.state === 'withdrawn'
  if (isTakenBack && assignment.state === 'published')
    await addNotices(tx, noticesOf(await learnerWorkOf(tx, [assignment.id]), [], now))
  const settled = isTakenBack ? ok(0) : await settle(tx, next.value, world, now)
  return settled.ok ? ok([...new Set([...goesTo, ...namedClasses(next.value)])]) : settled
}
