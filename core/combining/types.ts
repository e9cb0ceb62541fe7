/** How one part of a value is put together from what two people made of it. */
export type PartOf<Value> =
  /** As a whole: one of the two. */
  | 'whole'
  /** Each of its fields by itself. */
  | (Value extends readonly unknown[] | null | string | number | boolean ? never : 'fields')
  /** A list, each of its entries by itself, known by its name. */
  | (Value extends readonly (infer Entry)[] ? { readonly nameOf: (entry: Entry) => string } : never)

/** For each part of a value how it is put together; total, so that no new part is forgotten. */
export type Parts<Value> = { readonly [Part in keyof Value]-?: PartOf<Value[Part]> }

/** One value three times: as both saw it, as one wants it, and as the other has left it. */
export interface Three<Value> {
  readonly seen: Value
  readonly mine: Value
  readonly theirs: Value
}

/** Where both changed the same to something different; `undefined`: taken out there. */
export interface Clash<Value> {
  /** Unique in its value. */
  readonly id: string
  readonly part: keyof Value & string
  /** The field or the entry within the part; null: all of it. */
  readonly name: string | null
  readonly mine: unknown
  readonly theirs: unknown
}

/** What only the other changed, and is taken over without a question; `mine`: as both saw it. */
export type Taken<Value> = Clash<Value>

export type Side = 'mine' | 'theirs'

/** What became of two changes of one value. */
export interface Combined<Value> {
  readonly value: Value
  /** All of them, whether they were answered or not. */
  readonly clashes: readonly Clash<Value>[]
  readonly taken: readonly Taken<Value>[]
}
