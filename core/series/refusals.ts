/** Why a series cannot be kept. */
export type SeriesRefusal =
  | {
      readonly code: 'series/too-long'
      readonly field: 'rows'
      readonly count: number
      readonly most: number
    }
  /** A step or a stay of zero, less, or no whole number. */
  | { readonly code: 'series/bad-step'; readonly field: 'every' | 'stays' }
  | { readonly code: 'series/same-piece-twice'; readonly field: 'rows'; readonly row: number }
  | { readonly code: 'series/same-row-twice'; readonly field: 'rows'; readonly row: number }
  | { readonly code: 'series/nobody'; readonly field: 'targets' }
  /** A row for somebody who is not in the class. */
  | { readonly code: 'series/not-in-class'; readonly field: 'targets' }
  /** Learners have begun the row that would be taken out, or be another piece. */
  | {
      readonly code: 'series/row-begun'
      readonly field: 'rows'
      readonly row: number
      readonly title: string
    }
  | { readonly code: 'series/still-released'; readonly field: 'rows'; readonly row: number }
  | { readonly code: 'series/nothing-to-release'; readonly field: 'rows' }
