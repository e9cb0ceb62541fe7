import type { IsoDay, LessonId } from '../base'
import type { Seen } from './plan/seen'

/** Why a plan or a planning act is not accepted. */
export type PacingRefusal =
  | { readonly code: 'pacing/empty-plan'; readonly field: 'lessons' }
  | {
      readonly code: 'pacing/too-many-lessons'
      readonly field: 'lessons'
      readonly count: number
      readonly most: number
    }
  | {
      readonly code: 'pacing/bad-length'
      readonly field: 'length'
      readonly lesson: string
      readonly min: number
      readonly typical: number
      readonly max: number
    }
  | { readonly code: 'pacing/unknown-unit'; readonly field: 'unitId'; readonly lesson: string }
  | { readonly code: 'pacing/bad-fixed-date'; readonly field: 'fixed'; readonly lesson: string }
  | {
      readonly code: 'pacing/fixed-out-of-order'
      readonly field: 'fixed'
      readonly lesson: string
      readonly before: string
    }
  | {
      readonly code: 'pacing/fixed-on-closure'
      readonly field: 'fixed'
      readonly lesson: string
      readonly on: IsoDay
      readonly closedBy: string | null
    }
  | { readonly code: 'pacing/bad-part'; readonly field: 'parts'; readonly part: string }
  | {
      readonly code: 'pacing/length-out-of-range'
      readonly field: 'to'
      readonly unit: 'meetings' | 'minutes'
    }
  | { readonly code: 'pacing/unknown-lesson'; readonly field: 'lessonId'; readonly lessonId: LessonId }
  | {
      readonly code: 'pacing/no-such-meeting'
      readonly field: 'on'
      readonly on: IsoDay
      readonly startMinute: number
    }
  | { readonly code: 'pacing/bad-order'; readonly field: 'order' }
  | {
      readonly code: 'pacing/too-many'
      readonly field: 'notes' | 'changes'
      readonly count: number
      readonly most: number
    }
  | { readonly code: 'pacing/ids-disagree'; readonly field: 'to' }
  | { readonly code: 'pacing/two-years'; readonly field: 'commands' }
  | { readonly code: 'pacing/not-yet-held'; readonly field: 'lessonId'; readonly lesson: string }
  | { readonly code: 'pacing/already-recorded'; readonly field: 'lessonId'; readonly lesson: string }
  | { readonly code: 'pacing/bad-record'; readonly field: 'lessonId'; readonly lesson: string }
  | { readonly code: 'pacing/not-recorded'; readonly field: 'lessonId'; readonly lesson: string }
  | { readonly code: 'pacing/not-laid-out'; readonly field: 'lessonId'; readonly lesson: string }
  | {
      readonly code: 'pacing/changed-meanwhile'
      readonly field: 'from'
      readonly seen: Seen
      readonly now: Seen
    }
