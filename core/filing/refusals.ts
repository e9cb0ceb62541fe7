/** Why headings or categories cannot be kept. */
export type FilingRefusal =
  | { readonly code: 'filing/no-name'; readonly field: 'headings' | 'categories'; readonly row: number }
  | { readonly code: 'filing/name-twice'; readonly field: 'headings' | 'categories'; readonly name: string }
  | {
      readonly code: 'filing/too-many'
      readonly field: 'headings' | 'categories'
      readonly count: number
      readonly most: number
    }
  | { readonly code: 'filing/bad-weight'; readonly field: 'categories'; readonly name: string }
  | { readonly code: 'filing/bad-ceiling'; readonly field: 'categories'; readonly name: string }
