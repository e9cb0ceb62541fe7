import type { SkippedEvent } from './closures'
import type { TableSeen } from './tableSeen'

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
  /** Of a file that is no text. */
  | { readonly code: 'formats/not-a-package'; readonly field: 'file' }
  | { readonly code: 'formats/unsafe-package'; readonly field: 'file'; readonly name: string }
  | { readonly code: 'formats/package-too-large'; readonly field: 'file' }
  /** A file of a package is encrypted, or is not what its checksum or its length says. */
  | {
      readonly code: 'formats/damaged-package'
      readonly field: 'file'
      readonly name: string
      readonly why: 'encrypted' | 'checksum' | 'length'
    }
  | { readonly code: 'formats/has-entities'; readonly field: 'file' }
  | { readonly code: 'formats/not-xml'; readonly field: 'file'; readonly line: number }
  | { readonly code: 'formats/no-framework'; readonly field: 'file' }
  | {
      readonly code: 'formats/standards-in-circle'
      readonly field: 'file'
      readonly circle: readonly string[]
    }
  /** Of a table of questions: nobody knows which column is what; `table` shows it to who does. */
  | { readonly code: 'formats/no-item-headings'; readonly field: 'text'; readonly table: TableSeen }
  /** Of a table of texts: no columns of learners and texts. */
  | { readonly code: 'formats/no-text-headings'; readonly field: 'text' }
  | { readonly code: 'formats/text-too-long'; readonly field: 'text'; readonly most: number }
  /** Of an EPUB: nothing in it says in what order it stands. */
  | { readonly code: 'formats/no-navigation'; readonly field: 'file' }
  | { readonly code: 'formats/nothing-known'; readonly field: 'file' }
  /** Of a file that is read at another place: a calendar with the school year, a roster with its class. */
  | {
      readonly code: 'formats/read-elsewhere'
      readonly field: 'file'
      readonly place: 'calendar' | 'roster'
    }
  /** It is not what its name says, or it is nothing that is read here; both by their usual endings, such as `pdf`. */
  | {
      readonly code: 'formats/other-file'
      readonly field: 'file'
      readonly named: string
      readonly is: string
    }
  | { readonly code: 'formats/nothing-taken'; readonly field: 'file'; readonly rows: number }
