import type { ItemFault } from './kinds'
import type { ResourceKind } from './types'

/** Why a resource or one of its items is not accepted; `item` counts from 1. */
export type LibraryRefusal =
  | { readonly code: 'library/bad-code'; readonly field: 'code'; readonly value: string }
  | { readonly code: 'library/same-item-twice'; readonly field: 'items'; readonly item: number }
  | { readonly code: 'library/no-items'; readonly field: 'items' }
  /** A kind of piece that has no questions. */
  | { readonly code: 'library/items-not-asked'; readonly field: 'items'; readonly kind: ResourceKind }
  | { readonly code: 'library/bad-link'; readonly field: 'link' }
  | { readonly code: 'library/no-file'; readonly field: 'files' }
  /** A picture without words for who cannot see it. */
  | { readonly code: 'library/silent-picture'; readonly field: 'content' }
  /** What a file is cannot be told, or it is none that is kept: scripts, pages and drawings may run. */
  | { readonly code: 'library/unknown-file'; readonly field: 'file'; readonly name: string }
  | { readonly code: 'library/too-many-files'; readonly field: 'file'; readonly most: number }
  | { readonly code: 'library/no-words'; readonly field: 'words' }
  | { readonly code: 'library/same-word-twice'; readonly field: 'words'; readonly word: string }
  /** So many assignments give it out, or did. */
  | { readonly code: 'library/piece-in-use'; readonly field: 'resourceId'; readonly works: number }
  /** A textbook that plans, classes or practice routes use. */
  | { readonly code: 'library/book-in-use'; readonly field: 'bookId'; readonly title: string }
  | { readonly code: 'library/bad-points'; readonly field: 'points'; readonly item: number }
  | (ItemFault & { readonly item: number })
