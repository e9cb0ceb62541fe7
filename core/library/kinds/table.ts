import { blanks } from './blanks'
import { extended } from './extended'
import type { Cells, ReadCell } from './cells'
import type { Fields } from './fields'
import type { ItemFinding } from './findings'
import type { AnswerOf, ItemOf, Kind, LearnerItemOf } from './kind'
import { matching } from './matching'
import { multiple } from './multiple'
import { numeric } from './numeric'
import { ordering } from './ordering'
import { single } from './single'
import { text } from './text'
import type { Typed } from './typed'

/**
 * Every kind of item. Adding one here makes it known to the checks, the wire, the rows, the forms and the
 * figures.
 */
export const KINDS = {
  single,
  multiple,
  numeric,
  text,
  ordering,
  matching,
  blanks,
  extended,
} as const

type Kinds = typeof KINDS
export type ItemKind = keyof Kinds
export const ITEM_KINDS = Object.keys(KINDS) as readonly ItemKind[]

/** One question with its key. Never sent to a learner; see `LearnerItem`. */
export type Item = { [K in ItemKind]: ItemOf<K, Kinds[K]['fields']> }[ItemKind]
/** What a learner gave for one item; the shape follows the item's kind. */
export type Answer = { [K in ItemKind]: AnswerOf<K, Kinds[K]['answer']> }[ItemKind]
/** An item as a learner may see it: nothing here tells the answer. */
export type LearnerItem = {
  [K in ItemKind]: LearnerItemOf<K, Kinds[K]['fields'], Kinds[K]['shown'][number]>
}[ItemKind]

/** What learners give, whatever the kind: an input for each of these is all that a kind needs. */
export type AnswerType = {
  [K in ItemKind]: Kinds[K]['answer'][keyof Kinds[K]['answer']]
}[ItemKind]

/** A kind as the verbs use it, once item and answer are known to be of the same kind. */
interface AnyKind {
  readonly fields: Fields
  readonly answer: Fields
  readonly shown: readonly string[]
  readonly check: (item: Item) => ReturnType<Kind<string, Fields, Fields, string>['check']>
  readonly fits: (item: Item, answer: Answer) => boolean
  readonly score: (item: Item, answer: Answer) => number
  readonly isOmitted: (answer: Answer) => boolean
  readonly isByHand?: true
  readonly inWords: (item: Item | LearnerItem, answer: Answer) => string
  readonly chosen: (answer: Answer) => readonly string[]
  readonly right: (item: Item) => readonly string[]
  readonly rightInWords: (item: Item) => string
  readonly findings: (item: Item) => readonly ItemFinding[]
  readonly saidAfter: (item: Item | LearnerItem) => readonly string[]
  readonly linesOnPaper: (item: Item) => number
  readonly toTyped: (item: Item) => Readonly<Record<string, string>>
  readonly fromTyped: (typed: Typed) => object
  readonly toCells: (item: Item) => Cells
  readonly fromCells: (cell: ReadCell) => object
}

/** The kind of an item or answer. The one place where the union of kinds is taken for its member. */
export function kindOf(of: { readonly kind: ItemKind }): AnyKind {
  return KINDS[of.kind] as unknown as AnyKind
}
