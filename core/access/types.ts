import type { SchoolId, UserId } from '../base'

export const ROLES = ['teacher', 'lead', 'learner'] as const
export type Role = (typeof ROLES)[number]

/** Who is asking. `office` may change the school year. */
export interface Actor {
  readonly userId: UserId
  readonly schoolId: SchoolId
  readonly role: Role
  readonly office: boolean
}

/** Somebody who teaches, or leads a department. */
export interface Teacher extends Actor {
  readonly role: 'teacher' | 'lead'
}
/** Somebody who learns. */
export interface Learner extends Actor {
  readonly role: 'learner'
}

export interface ClassFacts {
  readonly schoolId: SchoolId
  /** First who made it. */
  readonly teacherIds: readonly UserId[]
}
export interface PlanFacts {
  readonly schoolId: SchoolId
  readonly ownerId: UserId
}
export interface ResourceFacts {
  readonly schoolId: SchoolId | null
  readonly ownerId: UserId | null
  /** The whole school may use it. */
  readonly isShared: boolean
}
export interface WorkFacts {
  readonly schoolId: SchoolId
  readonly authorId: UserId
  readonly classTeacherIds: readonly UserId[]
}
