import type { LeftLine, TableSeen } from '../tableSeen'
import type { Book, Item, Resource, Standard } from '../../library'

/**
 * CASE 1.0 (JSON), QTI 3.0 and 2.1 (XML, alone or in a package), a bank of items as CSV, a reading in Markdown; and
 * whole textbooks: Common Cartridge 1.3, EPUB 3, an outline as CSV.
 */
export type ShelfFormat = 'case' | 'qti' | 'items-csv' | 'markdown' | 'cartridge' | 'epub' | 'outline'

/** Why something of a file is not, or not wholly, taken over. */
export type Shortfall =
  /** A kind of question that there is not here. */
  | { readonly code: 'unknown-kind'; readonly name: string }
  | { readonly code: 'no-key' }
  | { readonly code: 'cannot-be-answered'; readonly why: string }
  | { readonly code: 'no-text' }
  | { readonly code: 'not-readable'; readonly problem: string }
  /** It is listed, and not there. */
  | { readonly code: 'file-missing'; readonly problem: string }
  | { readonly code: 'code-twice'; readonly name: string }
  | { readonly code: 'code-too-long'; readonly name: string }
  | { readonly code: 'unknown-parent'; readonly name: string }
  /** Relations of a kind that says nothing here. */
  | { readonly code: 'relation-left-out'; readonly name: string; readonly count: number }
  | { readonly code: 'picture-left-out'; readonly count: number }
  /** Scripts, frames, forms: parts that could run, or show something from elsewhere. */
  | { readonly code: 'could-run'; readonly count: number }
  /** Several ways of answering in one question, by the names of the format. */
  | { readonly code: 'several-kinds'; readonly names: readonly string[] }
  /** More than one answer earns all of the points where only one may be given. */
  | { readonly code: 'several-right' }
  /** What is declared as right earns less by the rules than something else. */
  | { readonly code: 'contradicts-itself' }
  | { readonly code: 'too-many-options'; readonly count: number; readonly most: number }
  /** Two choices of one name. */
  | { readonly code: 'name-twice'; readonly name: string }
  /** A step of the rules by which it scores that is not read; nothing is guessed. */
  | { readonly code: 'rules-not-read'; readonly name: string }
  /** An answer that earns other points than it does here, of so many. */
  | {
      readonly code: 'scored-otherwise'
      readonly what: string
      readonly there: number
      readonly here: number
      readonly of: number
    }
  /** Capital and small letters are told apart there. */
  | { readonly code: 'case-alike' }
  /** Parts of a word are enough there. */
  | { readonly code: 'part-is-enough' }
  /** Other points are stated as the most than the right answer earns. */
  | { readonly code: 'points-differ'; readonly stated: number; readonly earned: number }
  /** A setting of a test that is chosen when it is assigned. */
  | {
      readonly code: 'set-when-assigned'
      readonly what: 'tries' | 'minutes' | 'questions'
      readonly count: number
    }
  | { readonly code: 'not-here'; readonly name: string }
  /** It is meant for who teaches: it stays among one's own pieces, where no learner finds it. */
  | { readonly code: 'for-teachers' }
  /** A line of a table that is no row. */
  | { readonly code: LeftLine['why'] }
  /** A chapter to which no line of the navigation leads. */
  | { readonly code: 'outside-navigation' }
  | { readonly code: 'no-https'; readonly address: string }
  | { readonly code: 'not-meetings'; readonly text: string }

/** What becomes of one part of a file: `line` of a table, or the name of a file within a package. */
export interface ShelfRow {
  readonly where: string
  readonly what: string
  readonly outcome: 'taken' | 'taken-in-part' | 'refused'
  readonly because: readonly Shortfall[]
  /** The question that it becomes. */
  readonly item?: Item
}

/** A piece as it was read; its names are given when it is taken over. */
export type ReadPiece = Omit<Resource, 'id'>
export interface ReadStandard {
  readonly standard: Standard
  readonly outsideId: string | null
}
/** What a file holds, and what becomes of each part of it. */
export interface ShelfReading {
  readonly format: ShelfFormat
  readonly title: string
  /** Its identifier outside, of a framework. */
  readonly outsideId: string | null
  /** Who wrote it, of a framework. */
  readonly creator?: string
  readonly standards: readonly ReadStandard[]
  readonly pieces: readonly ReadPiece[]
  /** A textbook; its lessons are named within the file only, and get names of ours when it is taken over. */
  readonly book: Omit<Book, 'id'> | null
  /** The lesson of the book to which each piece belongs, in the order of the pieces; null: to none. */
  readonly lessonOf: readonly (string | null)[]
  readonly rows: readonly ShelfRow[]
  /** Of a table: how its columns were taken. */
  readonly table?: TableSeen
}

/** Of a reading that is no textbook. */
export const NO_BOOK = { book: null, lessonOf: [] } as const
