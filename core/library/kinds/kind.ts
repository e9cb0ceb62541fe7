import type { ItemId } from '../../base'
import type { Cells, ReadCell } from './cells'
import type { Fields, ValuesOf } from './fields'
import type { ItemFinding } from './findings'
import type { Typed } from './typed'

export interface ItemBase {
  readonly id: ItemId
  /** The question, in Markdown. */
  readonly stem: string
  readonly points: number
  readonly standard: string | null
  /** 1 (easy) to 5. */
  readonly difficulty: number
  /** Shown with the answer when the rules allow it. */
  readonly feedback: string
  /** Helps without telling the answer; shown while working where hints are allowed. Empty: none. */
  readonly hint: string
}

export type ItemOf<Name extends string, F extends Fields> = ItemBase & { readonly kind: Name } & ValuesOf<F>
export type AnswerOf<Name extends string, A extends Fields> = { readonly kind: Name } & ValuesOf<A>
export type LearnerItemOf<Name extends string, F extends Fields, Shown> = Pick<
  ItemBase,
  'id' | 'stem' | 'points'
> & { readonly kind: Name; readonly hint?: string } & ShownOf<F, Shown>

/** The fields of an item that everybody sees. */
export type ShownOf<F extends Fields, Shown> = Pick<ValuesOf<F>, Shown & keyof F>

/** Why an item cannot be answered or scored as it stands. */
export type ItemFault =
  | { readonly code: 'library/too-few-options'; readonly field: 'options' }
  | { readonly code: 'library/same-option-twice'; readonly field: 'options' }
  | { readonly code: 'library/no-right-answer'; readonly field: 'right' }
  | { readonly code: 'library/right-answer-twice'; readonly field: 'right' }
  | { readonly code: 'library/bad-tolerance'; readonly field: 'tolerance' }
  | { readonly code: 'library/order-tells-answer'; readonly field: 'options' }
  | { readonly code: 'library/no-blank'; readonly field: 'passage' }
  /** Fewer words at most than at least. */
  | { readonly code: 'library/bad-word-range'; readonly field: 'mostWords' }

/** All there is to know about one kind of item. */
export interface Kind<Name extends string, F extends Fields, A extends Fields, Shown extends keyof F> {
  readonly name: Name
  /** What an item of this kind has besides stem, points, standard, difficulty and feedback. */
  readonly fields: F
  /** What a learner gives. */
  readonly answer: A
  /** The fields a learner may see; none of them tells the answer. */
  readonly shown: readonly Shown[]
  readonly check: (item: ItemOf<Name, F>) => ItemFault | null
  /** Whether an answer speaks of what the item has, such as options that exist. */
  readonly fits: (item: ItemOf<Name, F>, answer: AnswerOf<Name, A>) => boolean
  /** Points earned, 0 to the item's points; of a kind that is scored by hand 0. */
  readonly score: (item: ItemOf<Name, F>, answer: AnswerOf<Name, A>) => number
  readonly isOmitted: (answer: AnswerOf<Name, A>) => boolean
  /** A person has to read it: no key can tell what it is worth. */
  readonly isByHand?: true
  /** What was given, as text; asked with what a learner sees of an item, too. */
  readonly inWords: (item: ShownOf<F, Shown>, answer: AnswerOf<Name, A>) => string
  /** Ids of the options chosen; none for kinds without options. */
  readonly chosen: (answer: AnswerOf<Name, A>) => readonly string[]
  /** Ids of the options that are right; none for kinds without options. */
  readonly right: (item: ItemOf<Name, F>) => readonly string[]
  /** The right answer as text, for showing after a try. */
  readonly rightInWords: (item: ItemOf<Name, F>) => string
  /** What is worth a second look, besides what is of any kind. */
  readonly findings: (item: ItemOf<Name, F>) => readonly ItemFinding[]
  /** What is read aloud after the question, of what a learner sees. */
  readonly saidAfter: (item: ShownOf<F, Shown>) => readonly string[]
  /** Lines to be left for an answer that is written on paper; 0: it is ticked, or written into the text. */
  readonly linesOnPaper: (item: ItemOf<Name, F>) => number
  /** What is typed of an item in a form, by field; what is ticked is not. */
  readonly toTyped: (item: ItemOf<Name, F>) => Readonly<Record<string, string>>
  /** Fields of what was typed and ticked; what cannot be read becomes something that `check` refuses. */
  readonly fromTyped: (typed: Typed) => ValuesOf<F>
  /** The columns of a table of questions in which its key stands. */
  readonly toCells: (item: ItemOf<Name, F>) => Cells
  /** Fields of a row of such a table. */
  readonly fromCells: (cell: ReadCell) => ValuesOf<F>
}

/** Fixes the types of a kind from its name and fields. */
export function kind<
  const Name extends string,
  const F extends Fields,
  const A extends Fields,
  const Shown extends keyof F,
>(of: Kind<Name, F, A, Shown>): Kind<Name, F, A, Shown> {
  return of
}
