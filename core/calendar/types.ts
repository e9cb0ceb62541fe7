import type { ClassId, Instant, IsoDay, Minutes, Weekday, YearId } from '../base'

export const DAY_NOTE_KINDS = ['closure', 'short', 'event'] as const
export type DayNoteKind = (typeof DAY_NOTE_KINDS)[number]

/**
 * Something about a day or range that changes who meets, or for how long. `throughOn` is the last whole day
 * included.
 */
export interface DayNote {
  readonly id: string
  readonly kind: DayNoteKind
  readonly name: string
  readonly fromOn: IsoDay
  readonly throughOn: IsoDay
  /** Empty: the whole school. For an event: the classes it takes out. */
  readonly classIds: readonly ClassId[]
  /** Short day: share of the usual minutes (0–1), unless explicit minutes are given. */
  readonly factorRatio?: number
  readonly minutes?: Minutes
  /**
   * An event of some hours only, as minutes after midnight: it takes the time that a meeting shares with it.
   */
  readonly fromMinute?: number
  readonly untilMinute?: number
}

export interface Term {
  readonly name: string
  readonly firstOn: IsoDay
  readonly lastOn: IsoDay
}

/** Day letters that go round. `overrides` set one day by hand; the count goes on from it. */
export interface Rotation {
  readonly labels: readonly string[]
  readonly advance: 'instructional' | 'date'
  readonly overrides: readonly { readonly on: IsoDay; readonly label: string }[]
}

export const FREE_TIMES = ['longest-run', 'sum'] as const
/** Of a meeting with gaps: its longest stretch without an event, or all its free minutes together. */
export type FreeTime = (typeof FREE_TIMES)[number]

export interface SchoolYear {
  readonly id: YearId
  readonly name: string
  readonly zone: string
  readonly firstOn: IsoDay
  readonly lastOn: IsoDay
  readonly weekdays: readonly Weekday[]
  readonly terms: readonly Term[]
  readonly notes: readonly DayNote[]
  readonly rotation: Rotation | null
  /**
   * A shortened meeting counts as a whole one from this share of its usual minutes, below it as a half;
   * absent: 0.6.
   */
  readonly wholeFromRatio?: number
  /** What events of some hours leave of a meeting; absent: its longest free run. */
  readonly freeTime?: FreeTime
}

/** One row of a class's timetable; `day` is a weekday or a rotation label. */
export interface PatternRow {
  readonly day: { readonly weekday: Weekday } | { readonly label: string }
  /** Minutes after local midnight. */
  readonly startMinute: number
  readonly minutes: Minutes
  readonly fromOn?: IsoDay
  readonly throughOn?: IsoDay
}

/** A change to one meeting of one class. */
export type MeetingChange =
  | { readonly kind: 'cancel'; readonly on: IsoDay; readonly startMinute: number; readonly why: string }
  | {
      readonly kind: 'add'
      readonly on: IsoDay
      readonly startMinute: number
      readonly minutes: Minutes
      readonly why: string
    }
  | {
      readonly kind: 'minutes'
      readonly on: IsoDay
      readonly startMinute: number
      readonly minutes: Minutes
      readonly why: string
    }

export interface Meeting {
  readonly index: number
  readonly on: IsoDay
  readonly startMinute: number
  readonly minutes: Minutes
  /** What the pattern would give on an ordinary day. */
  readonly usualMinutes: Minutes
  /** From this share of the usual minutes on it counts as a whole one; as the school year has it. */
  readonly wholeFromRatio: number
  readonly label: string | null
  readonly startsAt: Instant
  readonly endsAt: Instant
  /** The school was closed on two school days or more since the class last met. */
  readonly afterBreak: boolean
  /** Names of the notes or changes that shortened or added it. */
  readonly because: readonly string[]
  /** It took place, by the class's record, though calendar and timetable have no meeting there any more. */
  readonly isOff?: true
}

/** A meeting the pattern would have given, and what took it. */
export interface LostMeeting {
  readonly on: IsoDay
  readonly startMinute: number
  readonly minutes: Minutes
  readonly because: string
  readonly cause: 'closure' | 'event' | 'cancelled'
  readonly startsAt: Instant
}

export interface ClassCalendar {
  readonly meetings: readonly Meeting[]
  readonly lost: readonly LostMeeting[]
}
