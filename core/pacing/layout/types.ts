import type { IsoDay, LessonId } from '../../base'
import type { HeldSlot, Left } from '../plan'
import type { Slot } from '../track'

export type Placement =
  | {
      readonly lessonId: LessonId
      readonly placed: true
      readonly halves: number
      readonly slots: readonly Slot[]
      /** Recorded parts on days for which no meeting was given; they stay what happened. */
      readonly gone?: readonly HeldSlot[]
    }
  | {
      readonly lessonId: LessonId
      readonly placed: false
      readonly halves: number
      readonly because: NotPlaced
    }

/** Why a lesson is not in the layout; counts in half meetings. */
export type NotPlaced =
  | { readonly why: 'year-full'; readonly needHalves: number; readonly freeHalves: number }
  | { readonly why: 'part-full'; readonly needHalves: number; readonly freeHalves: number }
  | {
      readonly why: 'before-fixed'
      readonly lessonId: LessonId
      readonly needHalves: number
      readonly freeHalves: number
    }
  | { readonly why: 'after-one-that-does-not-fit'; readonly lessonId: LessonId }
  | { readonly why: Left }

/** Noteworthy about a layout, no failure. */
export type LayoutFinding =
  | {
      readonly code: 'fixed-date-missed'
      readonly lessonId: LessonId
      readonly wantedOn: IsoDay
      readonly on: IsoDay
    }
  | {
      readonly code: 'no-meeting-on-fixed-date'
      readonly lessonId: LessonId
      readonly wantedOn: IsoDay
      readonly on: IsoDay
    }
  | { readonly code: 'recorded-without-meeting'; readonly lessonId: LessonId; readonly on: IsoDay }
  | { readonly code: 'waits-after-break'; readonly lessonId: LessonId; readonly on: IsoDay }

/** A plan laid onto one class's meetings; placements in the class's order. */
export interface Layout {
  readonly placements: readonly Placement[]
  /** Capacity of each meeting in halves: 2, or 1 for a meeting too short to count as whole. */
  readonly capacities: readonly number[]
  /** Half meetings left over at the end of the year. */
  readonly slackHalves: number
  readonly findings: readonly LayoutFinding[]
}
