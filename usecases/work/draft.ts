import { ok, refuse } from '#core/base'
import type { ClassId, ResourceId, Result, UserId } from '#core/base'
import { canAssignTo, canSeeResource, isTeacher } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { faultInRules } from '#core/attempts'
import type { AttemptRefusal, AttemptRules } from '#core/attempts'
import type { AudienceRefusal } from '#core/audience'
import type { WindowSpec } from '#core/availability'
import { resourceById, teachersOf } from '#db/repositories'
import type { Connection, TargetRecord } from '#db/repositories'
import { namedClasses, worldLoader } from './world'
import type { World } from './world'

/** What a teacher sets for one assignment. */
export interface Draft {
  readonly resourceId: ResourceId
  readonly title: string
  readonly note: string
  readonly window: WindowSpec
  readonly rules: AttemptRules
  readonly targets: readonly TargetRecord[]
  readonly exceptIds: readonly UserId[]
}

export type DraftRefusal = AccessRefusal | AudienceRefusal | AttemptRefusal

/** The world of a draft, once its piece, rules and recipients are the actor's to give; else the first fault. */
export async function checkedDraft(
  tx: Connection,
  actor: Actor,
  authorId: UserId,
  draft: Draft,
): Promise<Result<World, DraftRefusal>> {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' })
  const piece = await resourceById(tx, draft.resourceId)
  if (!piece || !canSeeResource(actor, piece)) return refuse({ code: 'access/not-found', what: 'piece' })
  const fault = faultInRules(draft.rules)
  if (fault) return refuse({ code: 'attempts/bad-rules', field: fault })
  if (draft.targets.length === 0) return refuse({ code: 'audience/nobody-chosen', field: 'targets' })
  const named = namedClasses(draft)
  const world = await worldLoader(tx)(authorId, named)
  const teachers = await teachersOf(tx, [...world.grounds.keys()])
  const mine = (id: ClassId) =>
    canAssignTo(actor, {
      schoolId: world.grounds.get(id)?.record.schoolId ?? actor.schoolId,
      teacherIds: teachers.get(id) ?? [],
    })
  for (const { target } of draft.targets) {
    const fault = faultInTarget(target, world, mine)
    if (fault) return refuse(fault)
  }
  return ok(world)
}

function faultInTarget(
  target: TargetRecord['target'],
  world: World,
  mine: (id: ClassId) => boolean,
): AudienceRefusal | null {
  if (target.kind === 'class') {
    const ground = world.grounds.get(target.classId)
    if (!ground) return { code: 'audience/unknown-target', field: 'targets', id: target.classId }
    return mine(target.classId)
      ? null
      : { code: 'audience/not-your-class', field: 'targets', name: ground.record.name }
  }
  if (target.kind === 'group') {
    const group = world.groups.find((g) => g.id === target.groupId)
    if (!group) return { code: 'audience/unknown-target', field: 'targets', id: target.groupId }
    return mine(group.classId)
      ? null
      : { code: 'audience/not-your-class', field: 'targets', name: group.name }
  }
  const inMine = [...world.roster.classes].some(
    ([id, learners]) => learners.includes(target.learnerId) && mine(id),
  )
  return inMine ? null : { code: 'audience/unknown-target', field: 'targets', id: target.learnerId }
}
