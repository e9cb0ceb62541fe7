import type { Window, WindowField } from '../availability'
import type { AssignmentId, ClassId, Instant, IsoDay, LessonId, Minutes } from '../base'
import type { ResourceKind } from '../library'
import type { LessonKind } from '../pacing'

/** Work of a class as far as a week shows it. */
export interface WeekWork {
  readonly assignmentId: AssignmentId
  readonly title: string
  /** It is held, or not given to this class. */
  readonly isHeld: boolean
  readonly window: Window | null
  readonly lessonIds: readonly LessonId[]
  readonly kinds: readonly ResourceKind[]
}

/** A lesson with the meetings on which it lies, by their place in the class's year. */
export interface WeekLesson {
  readonly id: LessonId
  readonly number: string
  readonly title: string
  readonly kind: LessonKind
  readonly first: number
  readonly last: number
}

export interface WeekMeeting {
  readonly index: number
  readonly on: IsoDay
  readonly startsAt: Instant
  readonly minutes: Minutes
  readonly label: string | null
}

/** All of a class that a week is made of; meetings and lost ones of that week only. */
export interface WeekClass {
  readonly classId: ClassId
  readonly meetings: readonly WeekMeeting[]
  readonly lost: readonly { readonly on: IsoDay; readonly because: string }[]
  readonly lessons: readonly WeekLesson[]
  readonly works: readonly WeekWork[]
}

/** What is not ready for a lesson. */
export type Missing =
  /** Nothing hangs on a test or a check: there is nothing to write. */
  | { readonly code: 'no-test' }
  /** Nothing hangs on the lesson. */
  | { readonly code: 'no-work' }
  | { readonly code: 'held'; readonly assignmentId: AssignmentId; readonly title: string }
  | { readonly code: 'to-print'; readonly assignmentId: AssignmentId; readonly title: string }

/** A lesson as it lies on one meeting; what is missing is told at its first. */
export interface LessonInWeek extends Pick<WeekLesson, 'id' | 'number' | 'title' | 'kind'> {
  /** 1: its first meeting; of so many in all. */
  readonly nth: number
  readonly of: number
  readonly missing: readonly Missing[]
}

/** A moment of some work in the week. */
export interface WeekMoment {
  readonly assignmentId: AssignmentId
  readonly title: string
  readonly what: Extract<WindowField, 'opens' | 'due' | 'closes'>
  readonly at: Instant
  readonly isHeld: boolean
}

/** A day of a class. */
export interface WeekDay {
  readonly on: IsoDay
  readonly meetings: readonly (WeekMeeting & { readonly lessons: readonly LessonInWeek[] })[]
  readonly lost: readonly { readonly because: string }[]
  readonly moments: readonly WeekMoment[]
}

/** The week in figures. */
export interface WeekSums {
  readonly meetings: number
  readonly ready: number
  readonly notReady: number
  readonly opens: number
  readonly due: number
}
