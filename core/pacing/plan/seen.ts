import type { DayNote, MeetingChange, SchoolYear } from '../../calendar'
import type { LessonLength, PlanLesson } from './types'

/** One side of a change that somebody else made meanwhile: what the teacher saw, or what is there now. */
export type Seen =
  | { readonly of: 'length'; readonly unit: LessonLength['unit']; readonly amount: number | null }
  | { readonly of: 'meeting'; readonly change: MeetingChange | null }
  | { readonly of: 'lesson'; readonly lesson: PlanLesson | null }
  | { readonly of: 'day-note'; readonly note: DayNote | null }
  /** A part of what a class does differently, such as a record or a fixed date. */
  | { readonly of: 'class-part'; readonly value: unknown }
  | { readonly of: 'order' }
  | { readonly of: 'pattern' }
  | { readonly of: 'titles'; readonly titles: readonly string[] }
  /** A school year; `changed` names the parts in which the year there now differs from the one seen. */
  | { readonly of: 'year'; readonly changed: readonly (keyof Omit<SchoolYear, 'id'>)[] }
