import type { ItemId, ResourceId, TrailId } from '../base'

/** How much support a learner works with: one of a school's own, in their order from least to most. */
export interface Trail {
  readonly id: TrailId
  /** For teachers only: no learner meets it. */
  readonly name: string
}

/** A word that is explained, and what it is called in the language of the learner's own instructions. */
export interface GlossaryEntry {
  readonly word: string
  readonly meaning: string
  /** Empty: not translated. */
  readonly translation: string
}

/** Looks that passages are marked with; never a colour alone. */
export const MARK_LOOKS = ['line', 'wave', 'box', 'ground'] as const
export type MarkLook = (typeof MARK_LOOKS)[number]

/** What a kind of mark stands for, such as "cause". */
export interface LegendEntry {
  readonly id: string
  readonly name: string
  readonly look: MarkLook
}

/** A marked passage, named by its words: so it stays on them when the text before it changes. */
export interface Mark {
  /** The legend entry it belongs to. */
  readonly sort: string
  /** As it is read, with single spaces. */
  readonly quote: string
  /** Which of the places where the text says so, 1 for the first. */
  readonly nth: number
}

/** A sentence with blanks written as numbers in brackets, as in a question: 'Sound is [1] than light.' */
export interface Frame {
  readonly id: string
  readonly text: string
}

/** A hint for one question, shown whatever the rules say of hints. */
export interface ItemHint {
  readonly itemId: ItemId
  readonly hint: string
}

/** Which of a piece's questions are asked. */
export type KeptItems =
  | { readonly kind: 'all' }
  | { readonly kind: 'chosen'; readonly itemIds: readonly ItemId[] }
  /** So many percent of them, over all standards alike; at least one of each. */
  | { readonly kind: 'share'; readonly percent: number }

/** Texts that stand in an organiser's cells from the start, by the name of the cell. */
export type FilledCells = Readonly<Record<string, string>>

/** A form in which thoughts are put in order before writing; `cellsOf` says which cells it has. */
export type Organiser =
  | {
      readonly kind: 'table'
      readonly columns: readonly string[]
      readonly rows: readonly string[]
      readonly filled: FilledCells
    }
  | { readonly kind: 'web'; readonly centre: string; readonly branches: number; readonly filled: FilledCells }
  | { readonly kind: 'time-line'; readonly points: number; readonly filled: FilledCells }
  | { readonly kind: 'claim'; readonly reasons: number; readonly filled: FilledCells }
export const ORGANISER_KINDS = ['table', 'web', 'time-line', 'claim'] as const
export type OrganiserKind = (typeof ORGANISER_KINDS)[number]

/** The instructions in another language; `language` such as `es`. */
export interface Translation {
  readonly language: string
  readonly instructions: string
}

/** Support that is laid over a piece. It adds to it; only `items` takes something away. */
export interface Layer {
  readonly wordBank: readonly string[]
  readonly glossary: readonly GlossaryEntry[]
  /** Beginnings of sentences to write on from. */
  readonly starters: readonly string[]
  readonly frames: readonly Frame[]
  readonly legend: readonly LegendEntry[]
  readonly marks: readonly Mark[]
  readonly organisers: readonly Organiser[]
  readonly hints: readonly ItemHint[]
  /** The way to go, one step after another. */
  readonly steps: readonly string[]
  readonly items: KeptItems
  /** A worked example, in Markdown; empty: none. */
  readonly example: string
  readonly readAloud: boolean
  readonly largerType: boolean
  readonly translation: Translation | null
}

/** A support layer of a piece, for the learners on one trail. */
export interface Version {
  readonly resourceId: ResourceId
  readonly trailId: TrailId
  readonly layer: Layer
}

/** Another piece on the same objective, at another grade or length or in another language. */
export interface ParallelTask {
  readonly resourceId: ResourceId
  readonly revision: number
}

/** What somebody is given of a piece instead of what their trail says. */
export type VersionChoice =
  { readonly kind: 'trail'; readonly trailId: TrailId } | ({ readonly kind: 'parallel' } & ParallelTask)

/** What a learner was given of a piece that has versions: with how much support, or which other task. */
export interface GivenVersion {
  readonly trailId: TrailId
  readonly instead: ParallelTask | null
}
