import type { LessonId } from '../base'

/** Why standing work cannot be kept or laid. */
export type StandingRefusal =
  | {
      readonly code: 'standing/unknown-lesson'
      readonly field: 'lessonId' | 'window'
      readonly title: string
    }
  /** A moment hangs on a lesson of an earlier part: the part could not be laid on its own. */
  | {
      readonly code: 'standing/anchor-in-other-part'
      readonly field: 'window'
      readonly title: string
      readonly lessonId: LessonId
    }
  /** A date is the same in no two classes' year: standing work hangs on lessons only. */
  | { readonly code: 'standing/no-dates'; readonly field: 'window'; readonly title: string }
  | { readonly code: 'standing/too-many'; readonly field: 'lessonId'; readonly most: number }
  /** It cannot stand in a class: the lesson has no place there, or the moment is after the year. */
  | {
      readonly code: 'standing/no-place'
      readonly field: 'window'
      readonly title: string
      readonly className: string
    }
  | { readonly code: 'standing/other-plan'; readonly field: 'classIds'; readonly className: string }
  | { readonly code: 'standing/nothing-to-lay'; readonly field: 'classIds' }
