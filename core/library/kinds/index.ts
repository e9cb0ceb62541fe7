/** The kinds of items, one file each, and what can be done with an item whatever its kind. */
export type { FieldType, FieldTypes, Fields, Option } from './fields'
export type { ItemFault } from './kind'
export { readNumber, readingsOf } from './readNumber'
export { ITEM_KINDS, KINDS } from './table'
export type { Answer, Item, ItemKind, LearnerItem } from './table'
export { folded } from './text'
export {
  checkItem,
  chosenIn,
  exampleAnswer,
  fieldHolding,
  fitsItem,
  forLearner,
  givenInWords,
  isOmitted,
  leftOut,
  optionsOf,
  rightInWords,
  rightOptions,
  scoreItem,
  takes,
} from './verbs'
