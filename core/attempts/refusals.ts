import type { Instant, ItemId, UserId } from '../base'
import type { RuleField } from './checkRules'
import type { KeptAnswer } from './takeSave'

/** Why a try cannot be started, saved or handed in; nothing already saved is lost. */
export type AttemptRefusal =
  | { readonly code: 'attempts/not-open-yet'; readonly field: 'assignmentId'; readonly opensAt: Instant }
  | { readonly code: 'attempts/closed'; readonly field: 'assignmentId'; readonly closedAt: Instant }
  | {
      readonly code: 'attempts/none-left'
      readonly field: 'assignmentId'
      readonly used: number
      readonly most: number
    }
  /** A try is open: it is gone on with. */
  | { readonly code: 'attempts/one-in-progress'; readonly field: 'assignmentId' }
  | { readonly code: 'attempts/wait'; readonly field: 'assignmentId'; readonly until: Instant }
  | { readonly code: 'attempts/already-handed-in'; readonly field: 'attemptId' }
  | {
      /** Answers that were changed on another page stand; they are named, so that the learner can choose. */
      readonly code: 'attempts/answered-elsewhere'
      readonly field: 'saves'
      readonly stands: readonly KeptAnswer[]
    }
  | { readonly code: 'attempts/time-is-up'; readonly field: 'attemptId'; readonly deadlineAt: Instant }
  /** A piece that is only read was not open for its least time. */
  | { readonly code: 'attempts/too-soon'; readonly field: 'attemptId'; readonly from: Instant }
  | { readonly code: 'attempts/unknown-item'; readonly field: 'itemId'; readonly itemId: ItemId }
  | {
      readonly code: 'attempts/wrong-kind-of-answer'
      readonly field: 'answer'
      readonly itemId: ItemId
      readonly expected: string
    }
  | { readonly code: 'attempts/unknown-option'; readonly field: 'answer'; readonly itemId: ItemId }
  /** Nothing is shown before the whole try is handed in. */
  | { readonly code: 'attempts/not-item-by-item'; readonly field: 'itemId' }
  | { readonly code: 'attempts/answer-first'; readonly field: 'answer'; readonly itemId: ItemId }
  /** Other work, or an earlier piece, has to be done first. */
  | { readonly code: 'attempts/first-things-first'; readonly field: 'assignmentId'; readonly title: string }
  | { readonly code: 'attempts/bad-rules'; readonly field: RuleField }
  /** Points below zero, above what there are, or not in halves. */
  | { readonly code: 'attempts/bad-points'; readonly field: 'points'; readonly most: number }
  /** A text of theirs stands there already, or they are writing it. */
  | { readonly code: 'attempts/has-a-text'; readonly field: 'texts'; readonly learnerId: UserId }
  /** The piece asks for no text that a person scores. */
  | { readonly code: 'attempts/no-text-asked'; readonly field: 'pieceId' }
  /** Levels that are not of the criteria by which the answer is scored. */
  | { readonly code: 'attempts/bad-levels'; readonly field: 'levels' }
