import { asId, ok, refuse } from '#core/base'
import type { ClassId, GroupId, Result, UserId } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { GROUP_PARTS, faultInGroupRule } from '#core/audience'
import type { AudienceRefusal, GroupRule, GroupSetting } from '#core/audience'
import { combine } from '#core/combining'
import { classesOfGroup, groupsOf, learnersOf, saveGroup } from '#db/repositories'
import type { GroupRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { refreshWork } from '../settling/refreshWork'
import { asTheyStand } from '../ground/meansOnStandards'
import { classFor } from '../ground/classAccess'

/** A group as it was opened; members null: they were not looked at. */
export type GroupSeen = Omit<GroupSetting, 'learnerIds'> & {
  readonly learnerIds: readonly UserId[] | null
}
export type GroupKept = Result<
  { readonly groupId: GroupId; readonly learners: number },
  AccessRefusal | AudienceRefusal
>

/**
 * Makes a group within a class or over several of one's own, or replaces its name, classes and members; groups may
 * overlap. With a rule, who is in it follows from how its classes stand, and the learners that are named do not
 * count. Work of the group follows. A colleague's change since it was `seen` stays where it is about something else.
 * Refused where it is about the same, and where one of its classes, as it was or as it will be, is not the actor's.
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
    /** What the group was when it was opened; absent: as it stands. */
    readonly seen?: GroupSeen | null
  },
): Promise<GroupKept> {
  return writing(deps.store, async (tx): Promise<GroupKept> => {
    const known = (await groupsOf(tx, [input.classId])).find((g) => g.id === input.groupId)
    if (input.groupId !== null && !known) return refuse({ code: 'access/not-found', what: 'group' })
    const wanted = combined(input, known)
    if (wanted === null) return standsOtherwise()
    const { name, rule } = wanted
    const [classId = input.classId, ...alsoIn] = wanted.classIds
    const touched = [...new Set([...wanted.classIds, ...(known ? classesOfGroup(known) : [])])]
    for (const each of touched) {
      const found = await classFor(tx, actor, each, 'run')
      if (!found.ok) return found
    }
    const part = rule && faultInGroupRule(rule)
    if (part) return refuse({ code: 'audience/bad-group-rule', field: 'rule', part })
    const people = await learnersOf(tx, [classId, ...alsoIn])
    const roster = new Set([...people.values()].flat().map((l) => l.id))
    const stranger = input.learnerIds?.find((id) => !roster.has(id))
    if (stranger) return refuse({ code: 'audience/not-in-class', field: 'learnerIds', id: stranger })
    const asked: GroupRecord = {
      id: known?.id ?? asId<GroupId>(deps.ids.newId()),
      schoolId: actor.schoolId,
      ownerId: known?.ownerId ?? actor.userId,
      classId,
      alsoIn,
      name,
      archivedAt: null,
      rule,
      learnerIds: wanted.learnerIds.filter((id) => roster.has(id)),
    }
    const [group = asked] = await asTheyStand(tx, [asked])
    await saveGroup(tx, group)
    if (known) await refreshWork(tx, touched, deps.clock.now())
    return ok({ groupId: group.id, learners: group.learnerIds.length })
  })
}

type Asked = Parameters<typeof keepGroup>[2]

/** What is asked for put together with what stands; null where a colleague made something else of the same. */
function combined(input: Asked, known: GroupRecord | undefined): GroupSetting | null {
  // where it was made stays its first class, from whichever of them it is changed
  const classId = known?.classId ?? input.classId
  const others = new Set([input.classId, ...(input.alsoIn ?? [])])
  others.delete(classId)
  const { name, rule } = input
  const classIds = [classId, ...others]
  const learnerIds = [...new Set(input.learnerIds ?? known?.learnerIds ?? [])]
  const mine = { name, rule, classIds, learnerIds }
  if (!known) return mine
  const theirs = { ...known, classIds: classesOfGroup(known) }
  const seen = input.seen ? { ...input.seen, learnerIds: membersSeen(input, theirs) } : theirs
  const { value, clashes } = combine(GROUP_PARTS, { seen, mine, theirs })
  return clashes.length > 0 ? null : value
}

/** Whoever sends members without having looked at them takes nobody out. */
function membersSeen({ seen, learnerIds }: Asked, theirs: GroupSetting): readonly UserId[] {
  return seen?.learnerIds ?? (learnerIds === null ? theirs.learnerIds : [])
}
