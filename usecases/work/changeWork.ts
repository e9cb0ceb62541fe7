import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Teacher } from '#core/access'
import { namedClasses, withCorrectionsOf, withUnseen } from '#core/work'
import type { Draft } from '#core/work'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { whereIn } from './draft'
import { writeDown } from './steps'
import { changeAssignment, openWorkSession } from './workSession'
import type { WorkActRefusal, WorkSession } from './workSession'
import { workAt } from './workFor'
import type { WorkInReach } from './workFor'

export type Changed = Result<{ readonly learners: number }, WorkActRefusal>

/**
 * Replaces an assignment's settings, and publishes it in the same act when asked to. Who teaches only some of its
 * classes changes and publishes only their part. Who has begun loses no time; a piece that somebody has begun can
 * then no longer be exchanged or left out.
 */
export async function changeWork(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly assignmentId: AssignmentId
    readonly version: number
    readonly draft: Draft
    readonly publish: boolean
  },
): Promise<Changed> {
  return writing(deps.store, async (tx): Promise<Changed> => {
    const found = await workAt(tx, actor, input)
    if (!found.ok) return found
    const session = openWorkSession(tx, deps, actor)
    const sent = withCorrectionsOf(input.draft, found.value.assignment)
    const draft = await wholeDraft(session, found.value, sent)
    const done = await changeAssignment(session, found.value, draft, input.publish)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: input.publish ? 'published' : 'changed', done: [done.value] })
    return ok({ learners: done.value.learners })
  })
}

/** What somebody sent who sees only their part, with what they do not see. */
async function wholeDraft(
  { load }: WorkSession,
  { assignment, reach }: WorkInReach,
  sent: Draft,
): Promise<Draft> {
  if (reach === 'whole') return sent
  const world = await load(assignment.authorId, namedClasses(assignment))
  return withUnseen(reach, assignment, sent, whereIn(world))
}
