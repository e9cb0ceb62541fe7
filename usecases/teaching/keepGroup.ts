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
 * Makes a group within a class or over several of one's own, or replaces its name, classes and members; groups may
 * overlap. With a rule, who is in it follows from how its classes stand, and the learners that are named do not
 * count. Work of the group follows. Refused where one of its classes, as it was or as it will be, is not the actor's.
 */
export async function keepGroup(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    /** Further classes whose learners may be in it. */
    readonly alsoIn?: readonly ClassId[]
    readonly groupId: GroupId | null
    readonly name: string
    /** Null: who is in it stays, as far as its classes have them. */
    readonly learnerIds: readonly UserId[] | null
    readonly rule: GroupRule | null
  },
): Promise<GroupKept> {
  return writing(deps.store, async (tx): Promise<GroupKept> => {
    const known = (await groupsOf(tx, [input.classId])).find((g) => g.id === input.groupId)
    if (input.groupId !== null && !known) return refuse({ code: 'access/not-found', what: 'group' })
    // where it was made stays its first class, from whichever of them it is changed
    const classId = known?.classId ?? input.classId
    const others = new Set([input.classId, ...(input.alsoIn ?? [])])
    others.delete(classId)
    const alsoIn = [...others]
    const touched = [...new Set([classId, ...alsoIn, ...(known?.alsoIn ?? [])])]
    for (const each of touched) {
      const found = await classFor(tx, actor, each, 'run')
      if (!found.ok) return found
    }
    const part = input.rule && faultInGroupRule(input.rule)
    if (part) return refuse({ code: 'audience/bad-group-rule', field: 'rule', part })
    const people = await learnersOf(tx, [classId, ...alsoIn])
    const roster = new Set([...people.values()].flat().map((l) => l.id))
    const learnerIds = input.learnerIds ?? known?.learnerIds.filter((id) => roster.has(id)) ?? []
    const stranger = learnerIds.find((id) => !roster.has(id))
    if (stranger) return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: stranger })
    const asked: GroupRecord = {
      id: known?.id ?? asId<GroupId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      ownerId: known?.ownerId ?? actor.userId,
      classId,
      alsoIn,
      name: input.name,
      archivedAt: null,
      rule: input.rule,
      learnerIds: [...new Set(learnerIds)],
    }
    const [group = asked] = await asTheyStand(tx, [asked])
    await saveGroup(tx, group)
    if (known) await refreshWork(tx, touched, deps.clock.now())
    return ok({ groupId: group.id, learners: group.learnerIds.length })
  })
}
