import type { IsoDay } from '../base'

/** Why pieces cannot be laid, or moved. */
export type PlacingRefusal =
  /** No such stretch: it ends before it begins, or is longer than a school year. */
  | { readonly code: 'placing/bad-stretch'; readonly field: 'from'; readonly most: number }
  /** It hangs on a lesson, or goes by the hour: it is moved where it was set. */
  | { readonly code: 'placing/not-by-days'; readonly field: 'on'; readonly title: string }
  | { readonly code: 'placing/nothing-to-lay'; readonly field: 'pieces' }
  | { readonly code: 'placing/outside-year'; readonly field: 'on'; readonly on: IsoDay }
