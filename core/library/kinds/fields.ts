export interface Option {
  readonly id: string
  readonly text: string
}

/**
 * What a field of an item or of an answer may hold. Schemas for the wire and for stored rows, and the forms,
 * are made from these, so that a new kind of item needs none of its own.
 */
export interface FieldTypes {
  readonly options: readonly Option[]
  /** The id of one option. */
  readonly option: string
  readonly 'option-or-none': string | null
  readonly 'option-set': readonly string[]
  /** Ids of options, first to last. */
  readonly 'option-order': readonly string[]
  /** What others are paired with, or are paired to. */
  readonly entries: readonly Option[]
  /** By the id of each prompt the id of its partner. */
  readonly pairs: Readonly<Record<string, string>>
  /** Text with its blanks written as numbers in brackets: 'A wave carries [1], not [2].' */
  readonly passage: string
  /** By the number of each blank the words that are accepted in it. */
  readonly 'accepted-in-blanks': Readonly<Record<string, readonly string[]>>
  /** By the number of each blank what was written in it. */
  readonly 'words-in-blanks': Readonly<Record<string, string>>
  /** A text of several sentences. */
  readonly prose: string
  /** So many words; 0: as many as one likes. */
  readonly 'word-count': number
  /** So many paragraphs; 0: as many as one likes. */
  readonly 'paragraph-count': number
  readonly number: number
  /** A unit of measure, possibly empty. */
  readonly unit: string
  /** A number as it was typed. */
  readonly 'typed-number': string
  readonly line: string
  readonly lines: readonly string[]
}
export type FieldType = keyof FieldTypes
export type Fields = Readonly<Record<string, FieldType>>
export type ValuesOf<F extends Fields> = { readonly [K in keyof F]: FieldTypes[F[K]] }
