import { asId, ok, refuse } from '#core/base'
import type { ClassId, GroupId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { learnersOf, saveGroup } from '#db/repositories'
import { classFor } from '../ground/classAccess'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'

/** Groups that a class was split into, kept with the learners who are in them now. */
export async function keepGroups(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly classId: ClassId
    readonly groups: readonly { readonly name: string; readonly learnerIds: readonly UserId[] }[]
  },
): Promise<Result<{ readonly groupIds: readonly GroupId[] }, AccessRefusal | AudienceRefusal>> {
  const { classId } = input
  return writing(deps.store, async (tx) => {
    const found = await classFor(tx, actor, classId, 'run')
    if (!found.ok) return found
    const roster = new Set(((await learnersOf(tx, [classId])).get(classId) ?? []).map((l) => l.id))
    const stranger = input.groups.flatMap((g) => g.learnerIds).find((id) => !roster.has(id))
    if (stranger !== undefined)
      return refuse({ code: 'audience/not-in-class' as const, field: 'learnerIds' as const, id: stranger })
    const groups = input.groups.map(({ name, learnerIds }) => ({
      id: asId<GroupId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      ownerId: actor.userId,
      classId,
      alsoIn: [],
      name,
      archivedAt: null,
      rule: null,
      learnerIds: [...new Set(learnerIds)],
    }))
    for (const group of groups) await saveGroup(tx, group)
    return ok({ groupIds: groups.map((g) => g.id) })
  })
}
