import { ok, refuse } from '#core/base'
import type { ClassId, GroupId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { classesOfGroup, groupsOf, setMember as saveMember } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { refreshWork } from '../settling/refreshWork'
import { learnerFor } from '../ground/classAccess'

export type MemberSet = Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>

/**
 * Puts one learner of a class into one of its groups, or takes them out. Two such acts at once never undo
 * each other. Work of the group follows.
 */
export async function setMember(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly groupId: GroupId
    readonly learnerId: UserId
    readonly isIn: boolean
  },
): Promise<MemberSet> {
  return writing(deps.store, async (tx): Promise<MemberSet> => {
    const found = await learnerFor(tx, actor, input)
    if (!found.ok) return found
    const groups = await groupsOf(tx, [input.classId])
    const group = groups.find((g) => g.id === input.groupId)
    if (!group) return refuse({ code: 'access/not-found', what: 'group' })
    if (group.rule !== null) return refuse({ code: 'audience/group-by-rule', field: 'groupId' })
    await saveMember(tx, input.groupId, input.learnerId, input.isIn)
    await refreshWork(tx, classesOfGroup(group), deps.clock.now())
    return ok({ done: true })
  })
}
