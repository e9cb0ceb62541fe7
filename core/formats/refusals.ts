import type { SkippedEvent } from './closures'

/** Why an outside text as a whole is not read; `line` counts from 1. */
export type FormatRefusal =
  | { readonly code: 'formats/empty'; readonly field: 'text' }
  | { readonly code: 'formats/not-text'; readonly field: 'text' }
  | { readonly code: 'formats/lost-letters'; readonly field: 'text'; readonly line: number }
  | { readonly code: 'formats/broken-quotes'; readonly field: 'text'; readonly line: number }
  | {
      readonly code: 'formats/cell-too-long'
      readonly field: 'text'
      readonly line: number
      readonly most: number
    }
  | {
      readonly code: 'formats/too-many-rows'
      readonly field: 'text'
      readonly count: number
      readonly most: number
    }
  | {
      readonly code: 'formats/too-many-closures'
      readonly field: 'text'
      readonly count: number
      readonly most: number
    }
  | { readonly code: 'formats/not-a-calendar'; readonly field: 'text' }
  | {
      readonly code: 'formats/no-closures'
      readonly field: 'text'
      readonly events: number
      /** The first of the events that were left out, each with the reason. */
      readonly skipped: readonly SkippedEvent[]
    }
  | { readonly code: 'formats/too-large'; readonly field: 'text'; readonly most: number }
