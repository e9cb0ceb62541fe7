/** Attempt rules, scoring, and what a try may do when. */
export { GRACE_SECONDS, checkAnswer, endingOf, isRevealed, mayChange, mayStart, orderItems } from './attempt'
export type { Closings } from './attempt'
export { pieceName } from './pieceName'
export type { NamedPiece } from './pieceName'
export { PLACES, placeOf } from './place'
export type { Place } from './place'
export { doneFrom, mayFinish, readingTerms } from './reading'
export type { AttemptRefusal } from './refusals'
export { faultInRules, keptScore, scoreAttempt, shownPoints } from './scoreAttempt'
export { takeSave } from './takeSave'
export type { AnswerChange, StandingAnswer, Taken } from './takeSave'
export { ENDED_BY, ITEM_ORDERS, KEPT, LATE_PER, NO_LATE_DAYS, REVEALS } from './types'
export type {
  Attempt,
  AttemptRules,
  AttemptScore,
  EndedBy,
  ItemOrder,
  ItemScore,
  Kept,
  LateDays,
  LateRule,
  Reveal,
  TryTerms,
} from './types'
