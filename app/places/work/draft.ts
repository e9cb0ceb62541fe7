import type { ClassId, GroupId, ResourceId, UserId } from '#core/base'
import type { AttemptRules } from '#core/attempts'
import type { Target } from '#core/audience'
import type { Moment, Overrides, WindowField, WindowSpec } from '#core/availability'

/** An assignment while it is being composed; the same shape the server takes. */
export interface Draft {
  resourceId: ResourceId
  title: string
  note: string
  window: WindowSpec
  rules: AttemptRules
  targets: readonly { readonly target: Target; readonly overrides: Overrides }[]
  exceptIds: readonly UserId[]
}

/** A key that names a target. */
export function keyOf(target: Target): string {
  return target.kind === 'class'
    ? `class ${target.classId}`
    : target.kind === 'group'
      ? `group ${target.groupId}`
      : `learner ${target.learnerId}`
}

/** The target a key names. */
export function targetOf(key: string): Target {
  const [kind, id] = key.split(' ')
  return kind === 'class'
    ? { kind, classId: id as ClassId }
    : kind === 'group'
      ? { kind, groupId: id as GroupId }
      : { kind: 'learner', learnerId: id as UserId }
}

/** A target's own moment set, or (undefined) taken off again. */
export function withMoment(
  overrides: Overrides,
  field: WindowField,
  moment: Moment | null | undefined,
): Overrides {
  const { [field]: _, ...rest } = overrides.window ?? {}
  const window = moment === undefined ? rest : { ...rest, [field]: moment }
  const { window: __, ...others } = overrides
  return Object.keys(window).length === 0 ? others : { ...others, window }
}
