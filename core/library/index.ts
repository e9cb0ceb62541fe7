/** Textbooks, resources, items and standards; kinds/ has one file for each kind of item. */
export { checkResource, countByKind, faultOf, isScored } from './checkResource'
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
  fieldHolding,
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
export type { Facet, FacetCounts, PieceFacts, SearchOrder, ShelfFilter, Source } from './search'
export { RESOURCE_KINDS, RESOURCE_ROLES } from './types'
export type { Book, BookLesson, BookUnit, Resource, ResourceKind, ResourceRole, Standard } from './types'
