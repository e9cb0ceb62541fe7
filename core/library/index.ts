/** Textbooks, resources, items and standards; kinds/ has one file for each kind of item. */
export { checkResource, countByKind, faultOf } from './checkResource'
export { CLASS_SHELF_PARTS, PIECE_PARTS } from './combining'
export type { WrittenPiece } from './combining'
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
export { forTheWeak } from './forTheWeak'
export { pieceAddress, pieceAt, relinked } from './pieceLinks'
export type { PiecePlace } from './pieceLinks'
export { quickFile, quickPiece } from './quickPiece'
export { MADE, withScoredPart } from './scoredPart'
export { findingsIn } from './itemFindings'
export {
  ITEM_KINDS,
  KEY_COLUMNS,
  KINDS,
  answerFieldOf,
  blanksIn,
  blanksOf,
  checkItem,
  chosenIn,
  fitsItem,
  forLearner,
  fromCells,
  fromTyped,
  givenInWords,
  halfRightInWords,
  isChosenAmong,
  isOmitted,
  isScoredByHand,
  joinedCells,
  leftOut,
  linesOnPaper,
  matchingOf,
  mixed,
  readAccepted,
  writeAccepted,
  optionsOf,
  orderingOf,
  passageParts,
  readingsOf,
  rightInWords,
  rightOptions,
  saidAfter,
  scoreItem,
  takes,
  toCells,
  toTyped,
  wordsIn,
} from './kinds'
export type {
  Answer,
  AnswerType,
  FieldType,
  FieldTypes,
  Fields,
  Item,
  ItemBase,
  ItemFinding,
  ItemKind,
  KeyColumn,
  LearnerItem,
  Option,
} from './kinds'
export type { LibraryRefusal } from './refusals'
export { FACETS, SEARCH_ORDERS, SOURCES, facetCounts, narrowed, wordsOf } from './search'
export type { ClassShelf, Facet, FacetCounts, PieceFacts, SearchOrder, ShelfFilter, Source } from './search'
export { missedIn, practised, practisedTogether, withoutSolutions } from './practice'
export type { LastPractice, PracticeResult, PractisedTogether } from './practice'
export { cardOfKind, hasRules, kindsThat } from './resourceCards'
export type { RulesLike } from './resourceCards'
export { isWebAddress } from './webAddress'
export { hasPlainKey, withKey } from './withKey'
export type { KeyGiven } from './withKey'
export { EMPTY_TRAY, MANY_AT_ONCE, MOST_ASIDE, MOST_IN_TRAY, afterTrayAct, codesIn, traySums } from './tray'
export type { Gathering, InTray, Tray, TrayAct, TraySum } from './tray'
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
export {
  allBefore,
  narrowedStandards,
  STANDARD_LEVELS,
  faultInStandards,
  neighbourhood,
  pathTo,
  standardTree,
  standardsLike,
} from './standards'
export type {
  GradesServed,
  OnTheWay,
  Standard,
  StandardLevel,
  StandardNode,
  StandardsFault,
  Way,
} from './standards'
