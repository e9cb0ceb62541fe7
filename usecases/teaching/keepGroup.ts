import { asId, ok, refuse } from '#core/base'
import type { ClassId, GroupId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { faultInGroupRule } from '#core/audience'
import type { AudienceRefusal, GroupRule } from '#core/audience'
import { groupsOf, learnersOf, saveGroup } from '#db/repositories'
import type { GroupRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { refreshWork } from '../settling/refreshWork'
import { asTheyStand } from '../ground/meansOnStandards'
import { classFor } from '../ground/classAccess'

export type GroupKept = Result<
  { readonly groupId: GroupId; readonly learners: number },
  AccessRefusal | AudienceRefusal
>

/**
 * Makes a group within a class, or replaces its name and members; groups may overlap. With a rule, who is in it
 * follows from how the class stands, and the learners that are named do not count. Work of the group follows.
 */
export async function keepGroup(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly groupId: GroupId | null
    readonly name: string
    readonly learnerIds: readonly UserId[]
    readonly rule: GroupRule | null
  },
): Promise<GroupKept> {
  return writing(deps.store, async (tx): Promise<GroupKept> => {
    const found = await classFor(tx, actor, input.classId, 'run')
    if (!found.ok) return found
    const part = input.rule && faultInGroupRule(input.rule)
    if (part) return refuse({ code: 'audience/bad-group-rule', field: 'rule', part })
    const roster = new Set((await learnersOf(tx, [input.classId])).get(input.classId)?.map((l) => l.id))
    const stranger = input.learnerIds.find((id) => !roster.has(id))
    if (stranger) return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: stranger })
    const known = (await groupsOf(tx, [input.classId])).find((g) => g.id === input.groupId)
    if (input.groupId !== null && !known) return refuse({ code: 'access/not-found', what: 'group' })
    const asked: GroupRecord = {
      id: known?.id ?? asId<GroupId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      ownerId: known?.ownerId ?? actor.userId,
      classId: input.classId,
      name: input.name,
      archivedAt: null,
      rule: input.rule,
      learnerIds: [...new Set(input.learnerIds)],
    }
    const [group = asked] = await asTheyStand(tx, [asked])
    await saveGroup(tx, group)
    if (known) await refreshWork(tx, [input.classId], deps.clock.now())
    return ok({ groupId: group.id, learners: group.learnerIds.length })
  })
}
