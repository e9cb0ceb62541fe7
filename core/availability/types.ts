import type { Instant, IsoDay, LessonId } from '../base'

/**
 * A moment given relative to a lesson in the layout. `offset` counts meetings or calendar days from the edge.
 */
export interface Anchor {
  readonly kind: 'anchor'
  readonly lessonId: LessonId
  readonly edge: 'first' | 'last'
  readonly offset: number
  readonly step: 'meetings' | 'days'
  readonly at: 'class-start' | 'class-end' | 'end-of-day' | { readonly minuteOfDay: number }
}

/** The `count`-th meeting (1 or more) of each class that begins after a moment of its own day and time. */
export interface MeetingAfter {
  readonly kind: 'meeting'
  readonly on: IsoDay
  readonly minuteOfDay: number
  readonly count: number
  readonly at: Anchor['at']
}

export type Moment =
  | Anchor
  /** A whole day: as a start its 00:00, as an end the following 00:00. */
  | { readonly kind: 'day'; readonly on: IsoDay }
  | { readonly kind: 'time'; readonly on: IsoDay; readonly minuteOfDay: number }
  | MeetingAfter

export const WINDOW_FIELDS = ['listed', 'opens', 'due', 'closes', 'putAway'] as const
export type WindowField = (typeof WINDOW_FIELDS)[number]

/**
 * How a window is given. null: absent (listed and open from publishing; no due date; closes when due, else
 * never; never put away).
 */
export type WindowSpec = { readonly [F in WindowField]: Moment | null }

/** A window resolved for one learner; half-open, every end exclusive. null: absent. */
export type Window = { readonly [F in WindowField]: Instant | null }
/** No moments at all: open for good. */
export const NO_WINDOW = {
  listed: null,
  opens: null,
  due: null,
  closes: null,
  putAway: null,
} as const satisfies Window

export const WORK_STATES = ['not-listed', 'coming-up', 'open', 'late', 'closed', 'put-away'] as const
export type WorkState = (typeof WORK_STATES)[number]

export interface Accommodation {
  readonly timeFactor: number
  readonly extraAttempts: number
  readonly extraDays: number
}
export const NO_ACCOMMODATION: Accommodation = { timeFactor: 1, extraAttempts: 0, extraDays: 0 }
