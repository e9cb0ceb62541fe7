import type { Instant, IsoDay, LessonId } from '../../base'
import type { MeetingChange } from '../../calendar'
import type { FixedDate, PlanLesson } from './types'

export const LEFT_BECAUSE = ['let-go', 'not-covered', 'not-ours'] as const
/**
 * Why a lesson takes no meetings in a class: left out beforehand, its time was lost, or it was over before the plan
 * began there.
 */
export type Left = (typeof LEFT_BECAUSE)[number]

/**
 * A meeting named by date and start, so that it means the same whatever the calendar becomes; halves taken
 * there.
 */
export interface HeldSlot {
  readonly on: IsoDay
  readonly startMinute: number
  readonly halves: number
}

/**
 * What happened to a lesson: where it was held, and whether it is finished. `moreHalves`: still to come when
 * it was carried over.
 */
export interface LessonRecord {
  readonly outcome: 'covered' | 'under-way'
  readonly held: readonly HeldSlot[]
  readonly moreHalves: number
  /** The lesson's name when it was recorded: it may be taken out of the plan, what happened stays. */
  readonly lesson?: { readonly number: string; readonly title: string }
}

/** How far a class's record goes: through this meeting, of which `halves` are used. */
export type Through = HeldSlot

/** The layout as agreed at a moment: for each lesson the dates it lay on, in halves. */
export interface Baseline {
  readonly agreedAt: Instant
  readonly lessons: Readonly<Record<LessonId, readonly (readonly [IsoDay, number])[]>>
}

/**
 * What one class does differently from the plan and its pattern, and what happened. Lengths in halves, or in
 * minutes for lessons counted so.
 */
export interface ClassPacing {
  readonly lengths: Readonly<Record<LessonId, number>>
  readonly left: Readonly<Record<LessonId, Left>>
  /** The class's own fixed dates; 'free' lifts the plan's. */
  readonly fixed: Readonly<Record<LessonId, FixedDate | 'free'>>
  /** Lessons only this class has. */
  readonly added: Readonly<Record<LessonId, PlanLesson>>
  readonly records: Readonly<Record<LessonId, LessonRecord>>
  /** The class's own order; null: the plan's. */
  readonly order: readonly LessonId[] | null
  readonly through: Through | null
  /** The plan begins behind this meeting; null: with the year. What lies before is not this class's own. */
  readonly begins: Through | null
  readonly baseline: Baseline | null
  readonly changes: readonly MeetingChange[]
}

export const AS_PLANNED: ClassPacing = {
  lengths: {},
  left: {},
  fixed: {},
  added: {},
  records: {},
  order: null,
  through: null,
  begins: null,
  baseline: null,
  changes: [],
}
