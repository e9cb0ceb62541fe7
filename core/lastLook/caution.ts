import type { ClassId, IsoDay, LessonId, Minutes, PieceId, ResourceId, UserId } from '../base'

/** Something that may be meant, but is more often a mistake. Days are local; moments are minutes of a day. */
export type Caution =
  | { readonly code: 'due-in-past'; readonly classId: ClassId; readonly pieceId: PieceId | null }
  | { readonly code: 'opens-at-once'; readonly classId: ClassId }
  | { readonly code: 'tight'; readonly classId: ClassId; readonly meetings: number }
  | {
      readonly code: 'no-meeting-on-due-day'
      readonly classId: ClassId
      readonly on: IsoDay
      /** The end of the class's next meeting; null when there is none. */
      readonly next: { readonly on: IsoDay; readonly minuteOfDay: number } | null
    }
  | {
      readonly code: 'past-term'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly termEndsOn: IsoDay
    }
  | { readonly code: 'covered'; readonly classId: ClassId; readonly lessonId: LessonId }
  | {
      readonly code: 'already-given'
      readonly classId: ClassId
      readonly resourceId: ResourceId
      readonly title: string
    }
  /** In several of the classes: they get it once, with the kinder of the dates. */
  | { readonly code: 'in-several'; readonly learnerIds: readonly UserId[] }
  /** The bank has fewer items than a draw asks for: tries are that much shorter. */
  | {
      readonly code: 'drawn-short'
      readonly pieceId: PieceId
      readonly asked: number
      readonly has: number
    }
  /** Scores or answers are to be shown once it has closed, and for some classes it never does. */
  | { readonly code: 'never-shown'; readonly pieceId: PieceId; readonly what: 'scores' | 'answers' | 'both' }
  /** Right answers of so many questions are shown before a further try that asks them again. */
  | { readonly code: 'gives-away'; readonly pieceId: PieceId; readonly items: number }
  /** There is less time for a try than the piece says it takes. */
  | {
      readonly code: 'short-time'
      readonly pieceId: PieceId
      readonly limit: Minutes
      readonly minutes: Minutes
    }
  /** Nearly all of a class have it, and these are not among the exceptions. */
  | { readonly code: 'left-out'; readonly classId: ClassId; readonly learnerIds: readonly UserId[] }
  /** A test is open meanwhile that could not be begun before this is finished. */
  | { readonly code: 'blocks-test'; readonly classId: ClassId; readonly title: string }
  | {
      readonly code: 'two-tests'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly title: string
    }
  | {
      readonly code: 'full-day'
      readonly classId: ClassId
      readonly on: IsoDay
      readonly minutes: Minutes
      readonly titles: readonly string[]
    }
  /** With it, these learners carry more in that week than the limits, all their classes together. */
  | {
      readonly code: 'heavy-week'
      readonly classId: ClassId
      readonly mondayOn: IsoDay
      readonly learnerIds: readonly UserId[]
      /** A day in another week on which less is due; null: none is near. */
      readonly better: IsoDay | null
    }
  /** They have as many pieces of its category as their class lets them have at once: it comes when they have room. */
  | {
      readonly code: 'waits'
      readonly classId: ClassId
      readonly category: string
      readonly most: number
      readonly learnerIds: readonly UserId[]
    }
  /** Its window has ended while they waited for it. */
  | { readonly code: 'waited-in-vain'; readonly classId: ClassId; readonly learnerIds: readonly UserId[] }
  /** Each learner gets so many pieces on their own. */
  | { readonly code: 'many-pieces'; readonly pieces: number; readonly minutes: Minutes }
