/** Attempt rules, scoring, and what a try may do when. */
export { triesAsOf } from './asOf'
export { GRACE_SECONDS, checkAnswers, endingOf, isRevealed, mayChange, mayStart, orderItems } from './attempt'
export type { Closings } from './attempt'
export { areLevelsOf, criteriaFor, levelsFor, pointsByCriteria } from './byCriteria'
export type { Levels, Looked } from './byCriteria'
export { faultInRules } from './checkRules'
export { mayFix } from './fixing'
export { itemToFollow, itemsOf, itemsToBegin } from './items/choose'
export { askedFor, bankParts, drawItems, mostInTry, shortOf } from './items/draw'
export type { BankPart, Drawable } from './items/draw'
export { sharesFor } from './items/sharesFor'
export type { Mix } from './items/sharesFor'
export { corrected, correctionsOf, rescored } from './corrections'
export type { Correction } from './corrections'
export { isAdaptive } from './isAdaptive'
export { materialShown } from './materialShown'
export { passingOf } from './passing'
export type { Passing } from './passing'
export { pieceName } from './pieceName'
export type { NamedPiece } from './pieceName'
export { placeOf } from './place'
export type { Place } from './place'
export { READY_RULES, readyRulesFor } from './readyRules'
export type { ReadyKey } from './readyRules'
export { doneFrom, mayFinish, readingTerms } from './reading'
export type { AttemptRefusal } from './refusals'
export { asksAgain, comesAgain } from './comesAgain'
export { countedRatio, keptScore, scoreAttempt, shownPoints, waitingForFiles } from './scoreAttempt'
export { scoredByHand } from './scoreByHand'
export type { HandScore } from './scoreByHand'
export { takeSave } from './takeSave'
export type { AnswerChange, KeptAnswer, Taken } from './takeSave'
export {
  ENDED_BY,
  HARDNESSES,
  HELPS,
  ITEM_ORDERS,
  KEPT,
  LATER_RULES,
  LATE_PER,
  NO_LATE_DAYS,
  REVEALS,
} from './types'
export type {
  Attempt,
  AttemptRules,
  AttemptScore,
  EndedBy,
  Hardness,
  Help,
  ItemChoice,
  ItemOrder,
  ItemScore,
  Kept,
  LateDays,
  LateRule,
  Reveal,
  Share,
  TryInShort,
  TryTerms,
} from './types'
