import type { Levels } from '../attempts'
import type { AttemptId, CommentId, Instant, ItemId, UserId } from '../base'
import type { Answer, Criterion, Item, KeptFile, LearnerItem } from '../library'
import type { Organiser } from '../versions'

/** What somebody gave for an answer and has not released yet: its learner knows nothing of it. */
export interface ScoreDraft {
  readonly levels: Levels
  /** For the learner; may be empty. */
  readonly comment: string
  /** They shall have another go at it, with what they have written so far. */
  readonly again: boolean
  /** Counts changes, so that nobody writes over what they have not seen. */
  readonly version: number
  /** Who changed it last; null: it is on its way. */
  readonly by: UserId | null
  readonly byName: string
}

/** An answer that a person scores; `points` null while nothing was released. */
export interface AnswerToScore {
  readonly attemptId: AttemptId
  readonly learnerId: UserId
  /** Of a team all of their names. */
  readonly name: string
  /** Which of the learner's tries. */
  readonly number: number
  readonly itemId: ItemId
  /** The question as they had it; who has another task has others. */
  readonly item: Item
  readonly answer: Answer
  /** The title of the task that they have in the place of the piece; null: they have the piece. */
  readonly otherTask: string | null
  /** What they filled in of their support, in its order. */
  readonly filledIn: readonly { readonly item: LearnerItem; readonly answer: Answer }[]
  readonly organisers: readonly Organiser[]
  /** What they handed in as files for the piece, the first one first; of a team what any of them did. */
  readonly files: readonly (KeptFile & { readonly handedAt: Instant })[]
  /** Words that the piece and their version give to write with. */
  readonly expected: readonly string[]
  /** By what it is scored: that of the form in which they have the piece. */
  readonly criteria: readonly Criterion[]
  readonly points: number | null
  readonly comment: string
  /** What was released for each criterion; null: nothing, or it was scored as a whole. */
  readonly levels: readonly number[] | null
  readonly draft: ScoreDraft | null
}

/** A comment that a teacher keeps to use it again. */
export interface KeptComment {
  readonly id: CommentId
  readonly text: string
}
