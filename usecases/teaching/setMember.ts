import { ok, refuse } from '#core/base'
import type { ClassId, GroupId, Result, UserId } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { groupsOf, learnersOf, setMember as saveMember } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { classFor } from './classAccess'

export type MemberSet = Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>

/**
 * Puts one learner of a class into one of its groups, or takes them out. Two such acts at once never undo
 * each other.
 */
export async function setMember(
  deps: Deps,
  actor: Actor,
  input: {
    readonly classId: ClassId
    readonly groupId: GroupId
    readonly learnerId: UserId
    readonly isIn: boolean
  },
): Promise<MemberSet> {
  return writing(deps.store, async (tx): Promise<MemberSet> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const roster = (await learnersOf(tx, [input.classId])).get(input.classId) ?? []
    if (!roster.some((l) => l.id === input.learnerId))
      return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: input.learnerId })
    const groups = await groupsOf(tx, [input.classId])
    if (!groups.some((g) => g.id === input.groupId))
      return refuse({ code: 'access/not-found', what: 'group' })
    await saveMember(tx, input.groupId, input.learnerId, input.isIn)
    return ok({ done: true })
  })
}
