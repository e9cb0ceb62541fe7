import { asId, same } from '#core/base'
import type { ClassId, GroupId, PieceId, ResourceId, UserId } from '#core/base'
import type { AttemptRules } from '#core/attempts'
import type { Target } from '#core/audience'
import { withWindow } from '#core/availability'
import type { Limits, Moment, Overrides, WindowField } from '#core/availability'
import type { VersionChoice } from '#core/versions'
import { plainPiece } from '#core/work'
import type { AssignmentTarget, Draft, OwnRules, WorkPiece } from '#core/work'

/** An assignment while it is being composed. */
export type DraftInWork = { -readonly [K in keyof Draft]: Draft[K] }

/** A piece from the shelf, in its present form, as it is added to others: done in class, with nothing of its own. */
export function pieceOf(
  card: { readonly id: ResourceId; readonly revision: number },
  others: readonly WorkPiece[],
): WorkPiece {
  const numbers = others.map((p) => Number(p.id.slice(1)) || 0)
  const id = asId<PieceId>(`p${Math.max(0, ...numbers) + 1}`)
  return plainPiece({ resourceId: card.id, revision: card.revision }, { id })
}

/** Rules that differ from those of the assignment. */
export function differing(from: AttemptRules, rules: AttemptRules): Partial<AttemptRules> {
  const keys = Object.keys(rules) as (keyof AttemptRules)[]
  return Object.fromEntries(keys.filter((k) => !same(from[k], rules[k])).map((k) => [k, rules[k]]))
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
  return withWindow(overrides, moment === undefined ? rest : { ...rest, [field]: moment })
}

/** Tries, time and rules that a target has of its own; what is absent is as for everybody. */
export type OwnLimits = Partial<Limits & OwnRules>

/** What a target has of its own of tries, time and rules. */
export function limitsOf({ overrides, rules }: AssignmentTarget): OwnLimits {
  const { maxAttempts, timeLimitMinutes } = overrides
  return {
    ...(maxAttempts === undefined ? {} : { maxAttempts }),
    ...(timeLimitMinutes === undefined ? {} : { timeLimitMinutes }),
    ...rules,
  }
}

/** A target with other limits of its own; those that are absent it no longer has. */
export function withLimits(of: AssignmentTarget, limits: OwnLimits): AssignmentTarget {
  const { maxAttempts: _, timeLimitMinutes: __, ...others } = of.overrides
  const { maxAttempts, timeLimitMinutes, ...rules } = limits
  const overrides = {
    ...others,
    ...(maxAttempts === undefined ? {} : { maxAttempts }),
    ...(timeLimitMinutes === undefined ? {} : { timeLimitMinutes }),
  }
  const { rules: ___, ...rest } = of
  return Object.keys(rules).length === 0 ? { ...rest, overrides } : { ...rest, overrides, rules }
}

/** Whether a target changes anything for its learners. */
export function hasOwn({ overrides, rules, versions }: AssignmentTarget): boolean {
  return Object.keys({ ...overrides, ...rules, ...versions }).length > 0
}

/** A learner's own version of a piece in this work, or (null) the one of their trail again. */
export function withVersion(
  targets: readonly AssignmentTarget[],
  learnerId: UserId,
  pieceId: PieceId,
  choice: VersionChoice | null,
): readonly AssignmentTarget[] {
  const isTheirs = (t: AssignmentTarget) => t.target.kind === 'learner' && t.target.learnerId === learnerId
  const known = targets.find(isTheirs) ?? { target: { kind: 'learner', learnerId }, overrides: {} }
  const { [pieceId]: _, ...others } = known.versions ?? {}
  const versions = choice === null ? others : { ...others, [pieceId]: choice }
  const { versions: __, ...rest } = known
  const next = Object.keys(versions).length === 0 ? rest : { ...rest, versions }
  return targets.some(isTheirs) ? targets.map((t) => (isTheirs(t) ? next : t)) : [...targets, next]
}
