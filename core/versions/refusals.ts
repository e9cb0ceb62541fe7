import type { ItemId, TrailId } from '../base'

/** Why a layer, a school's trails or a choice of versions is not accepted; numbers count from 1. */
export type VersionsRefusal =
  | { readonly code: 'versions/same-word-twice'; readonly field: 'words'; readonly word: string }
  | { readonly code: 'versions/frame-without-blank'; readonly field: 'frames'; readonly number: number }
  | { readonly code: 'versions/mark-outside-text'; readonly field: 'marks'; readonly quote: string }
  | {
      readonly code: 'versions/marks-overlap'
      readonly field: 'marks'
      readonly quote: string
      readonly over: string
    }
  | { readonly code: 'versions/mark-without-legend'; readonly field: 'marks'; readonly quote: string }
  | {
      readonly code: 'versions/organiser-size'
      readonly field: 'organisers'
      readonly cells: number
      readonly most: number
    }
  /** Every cell is filled in: nothing is left to think about. */
  | { readonly code: 'versions/organiser-full'; readonly field: 'organisers' }
  /** There is something to fill in, and the piece has no question with which it would be handed in. */
  | { readonly code: 'versions/nothing-handed-in'; readonly field: 'organisers' }
  | { readonly code: 'versions/unknown-item'; readonly field: 'items'; readonly itemId: ItemId }
  | { readonly code: 'versions/bad-share'; readonly field: 'items' }
  | { readonly code: 'versions/trail-count'; readonly field: 'trails'; readonly count: number }
  | { readonly code: 'versions/trail-twice'; readonly field: 'trails'; readonly name: string }
  /** So many learners are on it, or so many pieces have a version for it. */
  | {
      readonly code: 'versions/trail-in-use'
      readonly field: 'trails'
      readonly trailId: TrailId
      readonly learners: number
      readonly versions: number
    }
  | { readonly code: 'versions/bad-thresholds'; readonly field: string }
  | { readonly code: 'versions/unknown-trail'; readonly field: 'trailId' }
