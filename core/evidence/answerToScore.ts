import type { AttemptId, ItemId, UserId } from '../base'
import type { Answer, Item, LearnerItem } from '../library'
import type { Organiser } from '../versions'

/** An answer that a person scores; `points` null while nobody has. */
export interface AnswerToScore {
  readonly attemptId: AttemptId
  readonly learnerId: UserId
  readonly name: string
  /** Which of the learner's tries. */
  readonly number: number
  readonly itemId: ItemId
  /** The question as they had it; who has another task has others. */
  readonly item: Item
  readonly answer: Answer
  /** What they filled in of their support, in its order. */
  readonly filledIn: readonly { readonly item: LearnerItem; readonly answer: Answer }[]
  readonly organiser: Organiser | null
  /** Words that the piece and their version give to write with. */
  readonly expected: readonly string[]
  readonly points: number | null
  readonly comment: string
}
