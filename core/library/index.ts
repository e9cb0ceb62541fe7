/** Textbooks, resources, items and standards: shapes and checks. */
export { checkResource, countByKind, isScored } from './checkResource'
export type { LibraryRefusal } from './refusals'
export { ITEM_KINDS, RESOURCE_KINDS, RESOURCE_ROLES } from './types'
export type {
  Book,
  BookLesson,
  BookUnit,
  Item,
  ItemKind,
  MultipleItem,
  NumericItem,
  Option,
  Resource,
  ResourceKind,
  ResourceRole,
  SingleItem,
  Standard,
  TextItem,
} from './types'
