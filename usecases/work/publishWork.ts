import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { namedClasses, publishedBy } from '#core/work'
import { saveAssignment } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { settle } from './settle'
import { writeDown } from './steps'
import { workAt } from './workFor'
import { worldLoader } from './world'

export type Published = Result<
  { readonly learners: number },
  AccessRefusal | AudienceRefusal | AvailabilityRefusal
>

/** Publishes held (or withdrawn) work: for every class, or for those that the actor teaches. */
export async function publishWork(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly version: number },
): Promise<Published> {
  return writing(deps.store, async (tx): Promise<Published> => {
    const found = await workAt(tx, actor, input)
    if (!found.ok) return found
    const { assignment, goesTo, hand } = found.value
    const next = publishedBy(hand, assignment, goesTo, deps.clock.now())
    await saveAssignment(tx, next)
    const reached = await settle(tx, next, await worldLoader(tx)(next.authorId, namedClasses(next)))
    if (reached.ok) await writeDown(tx, deps, actor, { what: 'published', before: assignment, after: next })
    return reached.ok ? ok({ learners: reached.value }) : reached
  })
}
