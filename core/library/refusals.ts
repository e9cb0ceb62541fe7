import type { ItemFault } from './kinds'

/** Why a resource or one of its items is not accepted; `item` counts from 1. */
export type LibraryRefusal =
  | { readonly code: 'library/bad-code'; readonly field: 'code'; readonly value: string }
  | { readonly code: 'library/same-item-twice'; readonly field: 'items'; readonly item: number }
  | { readonly code: 'library/no-items'; readonly field: 'items' }
  | { readonly code: 'library/bad-points'; readonly field: 'points'; readonly item: number }
  | (ItemFault & { readonly item: number })
