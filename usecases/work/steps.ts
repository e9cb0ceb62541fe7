import { ok, refuse } from '#core/base'
import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { checkPart, namedClasses, settingOf, stepped } from '#core/work'
import type { Assignment, WorkAct, WorkCommand, WorkRefusal } from '#core/work'
import { addToJournal, begunIn, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { whereIn } from './draft'
import { settle } from './settle'
import { workFor } from './workFor'
import { worldLoader } from './world'

/** Writes an act on an assignment down, so that it can be taken back. */
export async function writeDown(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  act: { readonly what: WorkAct; readonly before: Assignment | null; readonly after: Assignment },
): Promise<void> {
  const { what, before, after } = act
  await addToJournal(tx, {
    schoolId: actor.schoolId,
    actorId: actor.userId,
    touches: [after.id, ...namedClasses(after)],
    at: deps.clock.now(),
    command: {
      kind: 'work',
      what,
      assignmentId: after.id,
      from: before === null ? null : settingOf(before),
      to: settingOf(after),
    },
  })
}

export type Stepped = Result<
  readonly ClassId[],
  AccessRefusal | AudienceRefusal | AvailabilityRefusal | WorkRefusal
>

/**
 * Takes an act on an assignment back, or does it again, and resolves it anew; tells which classes it goes to.
 * Refused when it was changed since, is no longer the actor's to change, or would take what learners have begun.
 */
export async function stepWork(
  tx: Connection,
  deps: Deps,
  actor: Actor,
  command: WorkCommand,
): Promise<Stepped> {
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
  const settled = next.value.state === 'withdrawn' ? ok(0) : await settle(tx, next.value, world)
  return settled.ok ? ok([...new Set([...goesTo, ...namedClasses(next.value)])]) : settled
}
