import type { AttemptId, ItemId, UserId } from '../base'
import type { Answer } from '../library'

/** An answer that a person scores; `points` null while nobody has. */
export interface AnswerToScore {
  readonly attemptId: AttemptId
  readonly learnerId: UserId
  readonly name: string
  /** Which of the learner's tries. */
  readonly number: number
  readonly itemId: ItemId
  readonly answer: Answer
  readonly points: number | null
  readonly comment: string
}
