/** Something to look at in a text, at [start, end), with what could stand there instead. */
export interface Finding {
  readonly start: number
  readonly end: number
  readonly kind: 'spelling' | 'twice' | 'article'
  readonly instead: readonly string[]
}

/**
 * Version 1 of what page and worker say to each other. `ask` numbers a text, so that late answers about an older one
 * are dropped; the words of `known` are right in it whatever the dictionary says.
 */
export interface ProofingAsk {
  readonly v: 1
  readonly ask: number
  readonly text: string
  readonly known: readonly string[]
}
export interface ProofingFound {
  readonly v: 1
  readonly ask: number
  /** Null: the dictionary could not be fetched. */
  readonly findings: readonly Finding[] | null
}
