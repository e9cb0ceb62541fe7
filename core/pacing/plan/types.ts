import type { IsoDay, LessonId, PlanId, UnitId } from '../../base'

export const LESSON_KINDS = ['lesson', 'check', 'test', 'project', 'review', 'buffer'] as const
export type LessonKind = (typeof LESSON_KINDS)[number]
export const WEIGHTS = ['core', 'useful', 'optional'] as const
export type Weight = (typeof WEIGHTS)[number]
export const LENGTH_UNITS = ['meetings', 'minutes'] as const

/**
 * In meetings (halves allowed), or in minutes; a lesson counted in minutes may share a meeting with the next
 * one.
 */
export interface LessonLength {
  readonly unit: (typeof LENGTH_UNITS)[number]
  readonly min: number
  readonly typical: number
  readonly max: number
}

/**
 * Where a lesson has to lie. 'on': it starts with the first meeting on or after the date; 'not-after': its
 * last meeting is no later.
 */
export type FixedDate =
  | { readonly kind: 'on'; readonly on: IsoDay }
  | { readonly kind: 'not-before'; readonly on: IsoDay }
  | { readonly kind: 'not-after'; readonly on: IsoDay }
  | { readonly kind: 'within'; readonly fromOn: IsoDay; readonly throughOn: IsoDay }

/** A part of a plan that is laid out on its own, in the term with this number (1 = the year's first). */
export interface PlanPart {
  readonly id: string
  readonly title: string
  readonly term: number
}

export interface PlanUnit {
  readonly id: UnitId
  readonly number: string
  readonly title: string
  readonly partId: string | null
}

export interface PlanLesson {
  readonly id: LessonId
  readonly unitId: UnitId
  /** As printed, such as 'W2.3'. */
  readonly number: string
  readonly title: string
  readonly kind: LessonKind
  readonly length: LessonLength
  readonly weight: Weight
  readonly fixed: FixedDate | null
  /** It may not start with the first meeting after a break. */
  readonly notAfterBreak: boolean
  /** The textbook lesson it draws on, if any. */
  readonly bookLessonId: string | null
}

/** Ordered units and lessons of a course; knows nothing of any class. */
export interface Plan {
  readonly id: PlanId
  readonly title: string
  readonly course: string
  readonly parts: readonly PlanPart[]
  readonly units: readonly PlanUnit[]
  readonly lessons: readonly PlanLesson[]
}
