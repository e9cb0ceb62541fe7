/** The kinds of items, one file each, and what can be done with an item whatever its kind. */
export { blanksAsTyped, blanksIn, blanksOf, passageParts } from './blanks'
export { wordsIn } from './extended'
export type { FieldType, FieldTypes, Fields, Option } from './fields'
export type { ItemFault } from './kind'
export { matchingOf } from './matching'
export { mixed } from './mixed'
export { orderingOf } from './ordering'
export { readNumber, readingsOf } from './readNumber'
export { ITEM_KINDS, KINDS } from './table'
export type { Answer, Item, ItemKind, LearnerItem } from './table'
export { folded } from './text'
export {
  checkItem,
  chosenIn,
  exampleAnswer,
  fitsItem,
  forLearner,
  givenInWords,
  isOmitted,
  isScoredByHand,
  leftOut,
  optionsOf,
  rightInWords,
  rightOptions,
  scoreItem,
  takes,
} from './verbs'
