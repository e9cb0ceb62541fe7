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
