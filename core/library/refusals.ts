/** Why a resource or one of its items is not accepted; `item` counts from 1. */
export type LibraryRefusal =
  | { readonly code: 'library/bad-code'; readonly field: 'code'; readonly value: string }
  | { readonly code: 'library/no-items'; readonly field: 'items' }
  | { readonly code: 'library/too-few-options'; readonly field: 'options'; readonly item: number }
  | { readonly code: 'library/same-option-twice'; readonly field: 'options'; readonly item: number }
  | { readonly code: 'library/no-right-answer'; readonly field: 'right'; readonly item: number }
  | { readonly code: 'library/bad-tolerance'; readonly field: 'tolerance'; readonly item: number }
  | { readonly code: 'library/bad-points'; readonly field: 'points'; readonly item: number }
