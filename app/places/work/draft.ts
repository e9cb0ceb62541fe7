import type { ClassId, GroupId, UserId } from '#core/base'
import type { Target } from '#core/audience'
import type { Moment, Overrides, WindowField } from '#core/availability'
import type { Draft } from '#core/work'

/** An assignment while it is being composed. */
export type DraftInWork = { -readonly [K in keyof Draft]: Draft[K] }

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
