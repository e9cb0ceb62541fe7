import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Teacher } from '#core/access'
import { withCorrectionsOf } from '#core/work'
import type { Draft } from '#core/work'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { writeDown } from './steps'
import { openWorkSession, makeAssignment } from './workSession'
import type { WorkActRefusal } from './workSession'

export type Assigned = Result<
  { readonly assignmentId: AssignmentId; readonly learners: number },
  WorkActRefusal
>

/**
 * Makes an assignment, held or published at once. Refused when a window cannot stand in a class or nobody is
 * reached; nothing is then kept.
 */
export async function assign(
  deps: Deps,
  actor: Teacher,
  input: { readonly draft: Draft; readonly publish: boolean },
): Promise<Assigned> {
  return writing(deps.store, async (tx): Promise<Assigned> => {
    const draft = withCorrectionsOf(input.draft, null)
    const done = await makeAssignment(openWorkSession(tx, deps, actor), draft, input.publish)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: input.publish ? 'published' : 'made', done: [done.value] })
    return ok({ assignmentId: done.value.after.id, learners: done.value.learners })
  })
}
