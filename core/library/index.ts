/** Textbooks, resources, items and standards; kinds/ has one file for each kind of item. */
export { checkResource, countByKind, faultOf } from './checkResource'
export { differenceOf } from './differenceOf'
export { differentOnes } from './differentOnes'
export type { PieceChange } from './differenceOf'
export {
  FILE_SORTS,
  KEPT_NAMES,
  KEPT_TYPES,
  MOST_FILES,
  MOST_KEPT_BYTES,
  TEXT_NAMES,
  addressOf,
  isOfKeptFile,
  picturesIn,
  textsOf,
  withoutPictures,
} from './files'
export type { FileSort, KeptFile } from './files'
export { findingsIn } from './itemFindings'
export type { ItemFinding } from './itemFindings'
export {
  ITEM_KINDS,
  KINDS,
  blanksAsTyped,
  blanksIn,
  blanksOf,
  chosenIn,
  exampleAnswer,
  fitsItem,
  forLearner,
  givenInWords,
  isOmitted,
  isScoredByHand,
  leftOut,
  matchingOf,
  mixed,
  optionsOf,
  orderingOf,
  passageParts,
  readNumber,
  readingsOf,
  rightInWords,
  rightOptions,
  scoreItem,
  takes,
  wordsIn,
} from './kinds'
export type { Answer, FieldType, FieldTypes, Fields, Item, ItemKind, LearnerItem, Option } from './kinds'
export type { LibraryRefusal } from './refusals'
export { FACETS, SEARCH_ORDERS, SOURCES, facetCounts, narrowed, wordsOf } from './search'
export type { ClassShelf, Facet, FacetCounts, PieceFacts, SearchOrder, ShelfFilter, Source } from './search'
export { isForPractice, practised } from './practice'
export type { PracticeResult } from './practice'
export {
  hasCountedTries,
  hasLink,
  isRevised,
  isScored,
  itemsOfKind,
  isWebAddress,
  takesFiles,
} from './resourceKinds'
export type { ItemsOfKind } from './resourceKinds'
export { EMPTY_TRAY, MANY_AT_ONCE, MOST_IN_TRAY, codesIn, putIn, takeOut, traySums } from './tray'
export type { InTray, Tray, TraySum } from './tray'
export { BENCHMARK_TIMES, NO_MATERIAL, RESOURCE_KINDS, RESOURCE_ROLES } from './types'
export type {
  Benchmark,
  BenchmarkTime,
  Book,
  BookLesson,
  BookUnit,
  Criterion,
  Material,
  Resource,
  ResourceKind,
  ResourceRole,
  WordEntry,
} from './types'
export { STANDARD_LEVELS, faultInStandards, neighbourhood, pathTo, standardTree } from './standards'
export type { OnTheWay, Standard, StandardLevel, StandardNode, StandardsFault, Way } from './standards'
