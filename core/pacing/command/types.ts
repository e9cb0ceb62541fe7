import type { ClassId, IsoDay, LessonId, PlanId, YearId } from '../../base'
import type { DayNote, MeetingChange, PatternRow, SchoolYear } from '../../calendar'
import type {
  Baseline,
  FixedDate,
  Left,
  LessonRecord,
  PlanLesson,
  PlanPart,
  PlanUnit,
  Through,
} from '../plan'

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
/**
 * Changes to a plan, lesson by lesson; null on one side adds or removes. `order` and `units` are given when
 * they change.
 */
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
      readonly code: 'covered' | 'took' | 'carried-over' | 'taken-back' | 'move' | 'add' | 'agree'
      readonly lessonId: LessonId | null
    }

/** One planning act: a single change, or several that are done and undone as one. */
export type PacingCommand =
  | SingleCommand
  | { readonly kind: 'together'; readonly purpose: Purpose; readonly commands: readonly SingleCommand[] }
