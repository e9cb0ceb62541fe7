import { ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Actor } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { changed, checkPart, publishedBy, ruledNow } from '#core/work'
import type { Draft, WorkRefusal } from '#core/work'
import { begunIn, saveAssignment } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { checkedDraft, whereIn } from './draft'
import type { DraftRefusal } from './draft'
import { settle } from './settle'
import { writeDown } from './steps'
import { workAt } from './workFor'

export type Changed = Result<{ readonly learners: number }, DraftRefusal | AvailabilityRefusal | WorkRefusal>

/**
 * Replaces an assignment's settings, and publishes it in the same act when asked to.
 * Who teaches only some of its classes changes and publishes only their part. Who has begun loses no time; a
 * piece that somebody has begun can then no longer be exchanged or left out.
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
    const { assignment, goesTo, hand } = found.value
    const begun = await begunIn(tx, assignment.id)
    const next = changed(assignment, input.draft, begun.pieces)
    if (!next.ok) return next
    const world = await checkedDraft(tx, actor, assignment.authorId, input.draft, assignment)
    if (!world.ok) return world
    const part = checkPart(hand, assignment, input.draft, whereIn(world.value))
    if (!part.ok) return part
    const now = deps.clock.now()
    const stands = input.publish ? publishedBy(hand, next.value, goesTo, now) : next.value
    const kept =
      stands.state === 'published'
        ? { ...stands, ruled: ruledNow(stands, world.value.groups, assignment.ruled) }
        : stands
    await saveAssignment(tx, kept)
    const reached = await settle(tx, kept, world.value, now)
    const what = input.publish ? 'published' : 'changed'
    if (reached.ok) await writeDown(tx, deps, actor, what, [{ before: assignment, after: kept }])
    return reached.ok ? ok({ learners: reached.value }) : reached
  })
}
