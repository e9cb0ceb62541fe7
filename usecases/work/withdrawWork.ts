import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { withdrawnBy } from '#core/work'
import { dropLearnerWork, saveAssignment } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { writeDown } from './steps'
import { workAt } from './workFor'

export type Withdrawn = Result<{ readonly done: true }, AccessRefusal>

/**
 * Takes work back, from every class or from those that the actor teaches: learners no longer see it, what they did
 * is kept.
 */
export async function withdrawWork(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Withdrawn> {
  return writing(deps.store, async (tx): Promise<Withdrawn> => {
    const found = await workAt(tx, actor, input)
    if (!found.ok) return found
    const { assignment, goesTo, hand } = found.value
    const next = withdrawnBy(hand, assignment, goesTo)
    await saveAssignment(tx, next)
    if (next.state === 'published') await dropLearnerWork(tx, next.id, next.notFor)
    await writeDown(tx, deps, actor, { what: 'withdrawn', before: assignment, after: next })
    return ok({ done: true })
  })
}
