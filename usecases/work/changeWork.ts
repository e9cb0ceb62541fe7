import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Actor } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { changed, published } from '#core/work'
import type { Draft, WorkRefusal } from '#core/work'
import { begunBy, saveAssignment } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { checkedDraft } from './draft'
import type { DraftRefusal } from './draft'
import { settle } from './settle'
import { workAt } from './workFor'

export type Changed = Result<{ readonly learners: number }, DraftRefusal | AvailabilityRefusal | WorkRefusal>

/**
 * Replaces an assignment's settings, and publishes it in the same act when asked to.
 * Learners who have begun lose no time; the piece itself can then no longer be exchanged.
 */
export async function changeWork(
  deps: Deps,
  actor: Actor,
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
    const { id, authorId } = found.value
    const begun = await begunBy(tx, [id])
    const next = changed(found.value, input.draft, begun.size > 0)
    if (!next.ok) return next
    const world = await checkedDraft(tx, actor, authorId, input.draft)
    if (!world.ok) return world
    const kept = input.publish ? published(next.value, deps.clock.now()) : next.value
    await saveAssignment(tx, kept)
    const reached = await settle(tx, kept, world.value)
    return reached.ok ? ok({ learners: reached.value }) : reached
  })
}
