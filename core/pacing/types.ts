import type { ClassId, Instant, IsoDay, LessonId, PlanId, UnitId, YearId } from '../base'
import type { DayNote, MeetingChange, PatternRow, SchoolYear } from '../calendar'

export const LESSON_KINDS = ['lesson', 'check', 'test', 'project', 'review', 'buffer'] as const
export type LessonKind = (typeof LESSON_KINDS)[number]
export const WEIGHTS = ['core', 'useful', 'optional'] as const
export type Weight = (typeof WEIGHTS)[number]
export const LENGTH_UNITS = ['meetings', 'minutes'] as const

/** In meetings (halves allowed), or in minutes; a lesson counted in minutes may share a meeting with the next one. */
export interface LessonLength {
  readonly unit: (typeof LENGTH_UNITS)[number]
  readonly min: number
  readonly typical: number
  readonly max: number
}

/** Where a lesson has to lie. 'on': it starts with the first meeting on or after the date; 'not-after': its last meeting is no later. */
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

export const LEFT_BECAUSE = ['let-go', 'not-covered'] as const
/** Why a lesson takes no meetings in a class: left out beforehand, or its time was lost. */
export type Left = (typeof LEFT_BECAUSE)[number]

/** A meeting named by date and start, so that it means the same whatever the calendar becomes; halves taken there. */
export interface HeldSlot {
  readonly on: IsoDay
  readonly startMinute: number
  readonly halves: number
}

/** What happened to a lesson: where it was held, and whether it is finished. `moreHalves`: still to come when it was carried over. */
export interface LessonRecord {
  readonly outcome: 'covered' | 'under-way'
  readonly held: readonly HeldSlot[]
  readonly moreHalves: number
}

/** How far a class's record goes: through this meeting, of which `halves` are used. */
export type Through = HeldSlot

/** The layout as agreed at a moment: for each lesson the dates it lay on, in halves. */
export interface Baseline {
  readonly agreedAt: Instant
  readonly lessons: Readonly<Record<LessonId, readonly (readonly [IsoDay, number])[]>>
}

/** What one class does differently from the plan and its pattern, and what happened. Lengths in halves, or in minutes for lessons counted so. */
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
  baseline: null,
  changes: [],
}

/** Part of a meeting that a lesson takes, in halves; a fraction for lessons counted in minutes. */
export interface Slot {
  readonly meeting: number
  readonly halves: number
}

export type Placement =
  | {
      readonly lessonId: LessonId
      readonly placed: true
      readonly halves: number
      readonly slots: readonly Slot[]
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

type Of<P extends string, T> = { readonly part: P; readonly from: T | null; readonly to: T | null }
type LessonPart =
  Of<'left', Left> | Of<'fixed', FixedDate | 'free'> | Of<'records', LessonRecord> | Of<'added', PlanLesson>
type ClassPart = Of<'order', readonly LessonId[]> | Of<'through', Through> | Of<'baseline', Baseline>

/** A change to one class. `from` is what the teacher saw: if it no longer holds, the act is refused. */
export type ClassCommand =
  | {
      readonly kind: 'length'
      readonly classId: ClassId
      readonly lessonId: LessonId
      readonly from: number | null
      readonly to: number | null
    }
  | {
      readonly kind: 'meeting'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly startMinute: number
      readonly from: MeetingChange | null
      readonly to: MeetingChange | null
    }
  | ({ readonly kind: 'lesson'; readonly classId: ClassId; readonly lessonId: LessonId } & LessonPart)
  | ({ readonly kind: 'class'; readonly classId: ClassId } & ClassPart)
/** A day note of the school year set, changed or taken away. */
export interface NoteCommand {
  readonly kind: 'note'
  readonly yearId: YearId
  readonly from: DayNote | null
  readonly to: DayNote | null
}
/** A school year's dates, terms, rotation and notes replaced. */
export interface YearCommand {
  readonly kind: 'year'
  readonly yearId: YearId
  readonly from: SchoolYear
  readonly to: SchoolYear
}
/** When a class meets, replaced. */
export interface PatternCommand {
  readonly kind: 'pattern'
  readonly classId: ClassId
  readonly from: readonly PatternRow[]
  readonly to: readonly PatternRow[]
}
/** Changes to a plan, lesson by lesson; null on one side adds or removes. `order` and `units` are given when they change. */
export interface PlanCommand {
  readonly kind: 'plan'
  readonly planId: PlanId
  readonly lessons: readonly {
    readonly lessonId: LessonId
    readonly from: PlanLesson | null
    readonly to: PlanLesson | null
  }[]
  readonly order: { readonly from: readonly LessonId[]; readonly to: readonly LessonId[] } | null
  readonly units: { readonly from: readonly PlanUnit[]; readonly to: readonly PlanUnit[] } | null
  readonly parts: { readonly from: readonly PlanPart[]; readonly to: readonly PlanPart[] } | null
}
export type SingleCommand = ClassCommand | PatternCommand | NoteCommand | YearCommand | PlanCommand

export const WAYS = ['push-on', 'use-slack', 'tighten', 'let-go', 'hold'] as const
/** A way out of a ripple. */
export type Way = (typeof WAYS)[number]

/** What several commands done as one were for. */
export type Purpose =
  | { readonly code: 'ripple'; readonly way: Way; readonly cause: string }
  | { readonly code: 'fit' }
  | {
      readonly code: 'covered' | 'took' | 'carried-over' | 'move' | 'add' | 'agree'
      readonly lessonId: LessonId | null
    }

/** One planning act: a single change, or several that are done and undone as one. */
export type PacingCommand =
  | SingleCommand
  | { readonly kind: 'together'; readonly purpose: Purpose; readonly commands: readonly SingleCommand[] }
