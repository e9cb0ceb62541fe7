import type { ClassId, GroupId, Instant, UserId } from '../base'

export const TARGET_KINDS = ['class', 'group', 'learner'] as const

/** Whom an assignment goes to. */
export type Target =
  | { readonly kind: 'class'; readonly classId: ClassId }
  | { readonly kind: 'group'; readonly groupId: GroupId }
  | { readonly kind: 'learner'; readonly learnerId: UserId }

/** Who is where, now. Only classes of the one who assigns. */
export interface Roster {
  readonly classes: ReadonlyMap<ClassId, readonly UserId[]>
  readonly groups: ReadonlyMap<GroupId, readonly UserId[]>
  /** When somebody joined, where it is known. */
  readonly joinedAt?: ReadonlyMap<ClassId, ReadonlyMap<UserId, Instant>>
  /** From when on a learner's work in a class counts, where it is known: their start line. */
  readonly startsAt?: ReadonlyMap<ClassId, ReadonlyMap<UserId, Instant>>
}

/** How one learner is reached. `classIds` are the learner's classes in the roster that set the dates. */
export interface Reached {
  readonly learnerId: UserId
  readonly classIds: readonly ClassId[]
  readonly groupIds: readonly GroupId[]
  readonly byClass: boolean
  readonly byName: boolean
}

export const LEVELS = [
  'assignment',
  'class',
  'piece',
  'group',
  'learner',
  'accommodation',
  'started',
] as const
/** Which layer set a value: later levels win over earlier ones. */
export type Level = (typeof LEVELS)[number]

/** Levels that targets stand on. */
export type TargetLevel = 'class' | 'group' | 'learner'

/** Values one layer sets; a key that is absent leaves the field to the layer below. */
export interface Layer<F> {
  readonly level: TargetLevel
  readonly sourceId: string
  readonly fields: Partial<F>
  /** Fields that are not the source's own, but worked out on its ground, each with the level that gave it. */
  readonly passedOn?: ReadonlyMap<keyof F, Level>
}

/** Where a resolved field came from. */
export interface Because<F> {
  readonly field: keyof F
  readonly level: Level
  readonly sourceId: string | null
}

/** Values with the reason for each. */
export interface ResolvedFields<F> {
  readonly fields: F
  readonly because: readonly Because<F>[]
}

/** Per field: positive when `a` is kinder to the learner than `b`. */
export type Kinder<F> = { readonly [K in keyof F]: (a: F[K], b: F[K]) => number }
