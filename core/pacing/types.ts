import type { ClassId, IsoDay, LessonId, PlanId, UnitId } from '../base'
import type { MeetingChange } from '../calendar'

export const LESSON_KINDS = ['lesson', 'check', 'test', 'project', 'review', 'buffer'] as const
export type LessonKind = typeof LESSON_KINDS[number]
export const WEIGHTS = ['core', 'useful', 'optional'] as const
export type Weight = typeof WEIGHTS[number]

/** Length in meetings; halves allowed. `unit` leaves room for lengths counted otherwise. */
export interface LessonLength {
  readonly unit: 'meetings'
  readonly min: number
  readonly typical: number
  readonly max: number
}

export interface PlanUnit { readonly id: UnitId, readonly number: string, readonly title: string }

export interface PlanLesson {
  readonly id: LessonId
  readonly unitId: UnitId
  /** As printed, such as 'W2.3'. */
  readonly number: string
  readonly title: string
  readonly kind: LessonKind
  readonly length: LessonLength
  readonly weight: Weight
  /** The textbook lesson it draws on, if any. */
  readonly bookLessonId: string | null
}

/** Ordered units and lessons of a course; knows nothing of any class. */
export interface Plan {
  readonly id: PlanId
  readonly title: string
  readonly course: string
  readonly units: readonly PlanUnit[]
  readonly lessons: readonly PlanLesson[]
}

/** What one class does differently from the plan and its pattern. Lengths in half meetings. */
export interface ClassPacing {
  readonly lengths: Readonly<Record<LessonId, number>>
  readonly changes: readonly MeetingChange[]
}

/** Part of a meeting that a lesson takes: 1 or 2 halves. */
export interface Slot { readonly meeting: number, readonly halves: number }

export type Placement =
  | { readonly lessonId: LessonId, readonly placed: true, readonly halves: number, readonly slots: readonly Slot[] }
  | { readonly lessonId: LessonId, readonly placed: false, readonly halves: number, readonly because: NotPlaced }

/** Why a lesson is not in the layout; both counts in half meetings. */
export type NotPlaced =
  | { readonly why: 'year-full', readonly needHalves: number, readonly freeHalves: number }
  | { readonly why: 'after-one-that-does-not-fit', readonly lessonId: LessonId }

/** A plan laid onto one class's meetings; placements in plan order. */
export interface Layout {
  readonly placements: readonly Placement[]
  /** Capacity of each meeting in halves: 2, or 1 for a meeting too short to count as whole. */
  readonly capacities: readonly number[]
  /** Half meetings left over at the end of the year. */
  readonly slackHalves: number
}

/** One planning act on one class. `from` is what the teacher saw: if it no longer holds, the act is refused. */
export type PacingCommand =
  | { readonly kind: 'length', readonly classId: ClassId, readonly lessonId: LessonId, readonly from: number | null, readonly to: number | null }
  | { readonly kind: 'meeting', readonly classId: ClassId, readonly on: IsoDay, readonly startMinute: number, readonly from: MeetingChange | null, readonly to: MeetingChange | null }
