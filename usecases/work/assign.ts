import { asId, ok } from '#core/base'
import type { AssignmentId, Result } from '#core/base'
import type { Actor } from '#core/access'
import type { AvailabilityRefusal } from '#core/availability'
import { ruledNow } from '#core/work'
import type { Assignment, Draft } from '#core/work'
import { addAssignment } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { checkedDraft } from './draft'
import type { DraftRefusal } from './draft'
import { settle } from './settle'
import { writeDown } from './steps'

export type Assigned = Result<
  { readonly assignmentId: AssignmentId; readonly learners: number },
  DraftRefusal | AvailabilityRefusal
>

/**
 * Makes an assignment, held or published at once.
 * Refused when a window cannot stand in a class or nobody is reached; nothing is then kept.
 */
export async function assign(
  deps: Deps,
  actor: Actor,
  input: { readonly draft: Draft; readonly publish: boolean },
): Promise<Assigned> {
  return writing(deps.store, async (tx): Promise<Assigned> => {
    const world = await checkedDraft(tx, actor, actor.userId, input.draft)
    if (!world.ok) return world
    const now = deps.clock.now()
    const assignment: Assignment = {
      ...input.draft,
      id: asId<AssignmentId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      authorId: actor.userId,
      notFor: [],
      ruled: input.publish ? ruledNow(input.draft, world.value.groups, []) : [],
      state: input.publish ? 'published' : 'held',
      version: 1,
      createdAt: now,
      publishedAt: input.publish ? now : null,
    }
    await addAssignment(tx, assignment)
    const reached = await settle(tx, assignment, world.value, now)
    const what = input.publish ? 'published' : 'made'
    if (reached.ok) await writeDown(tx, deps, actor, what, [{ before: null, after: assignment }])
    return reached.ok ? ok({ assignmentId: assignment.id, learners: reached.value }) : reached
  })
}
