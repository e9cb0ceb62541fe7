/** The kinds of items, one file each, and what can be done with an item whatever its kind. */
export { readAccepted, writeAccepted } from './accepted'
export { blanksAsTyped, blanksIn, blanksOf, passageParts } from './blanks'
export { wordsIn } from './extended'
export type { FieldType, FieldTypes, Fields, Option } from './fields'
export { KEY_COLUMNS, joined as joinedCells } from './cells'
export type { KeyColumn } from './cells'
export type { ItemFinding } from './findings'
export type { ItemBase, ItemFault } from './kind'
export { matchingOf } from './matching'
export { mixed } from './mixed'
export { orderingOf } from './ordering'
export { readNumber, readingsOf } from './readNumber'
export { ITEM_KINDS, KINDS } from './table'
export type { Answer, AnswerType, Item, ItemKind, LearnerItem } from './table'
export { folded } from './folded'
export {
  checkItem,
  answerFieldOf,
  chosenIn,
  findingsOfKind,
  fitsItem,
  forLearner,
  fromCells,
  fromTyped,
  givenInWords,
  halfRightInWords,
  isChosenAmong,
  isOmitted,
  isScoredByHand,
  leftOut,
  linesOnPaper,
  optionsOf,
  rightInWords,
  rightOptions,
  saidAfter,
  scoreItem,
  takes,
  toCells,
  toTyped,
} from './verbs'
