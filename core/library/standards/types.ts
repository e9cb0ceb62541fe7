export const STANDARD_LEVELS = ['subject', 'domain', 'standard'] as const
/** A subject holds domains, these hold standards; pieces serve standards only. */
export type StandardLevel = (typeof STANDARD_LEVELS)[number]

/** A place in the tree of standards. */
export interface Standard {
  /** Such as `TH.8.W.3`: unique in its school, however letters are cased. */
  readonly code: string
  readonly text: string
  readonly level: StandardLevel
  /** The code of what holds it; null: it stands at the top. */
  readonly parent: string | null
  /** Codes of standards that come before it. */
  readonly requires: readonly string[]
}

/** A standard with what it holds, in order. */
export interface StandardNode {
  readonly standard: Standard
  readonly children: readonly StandardNode[]
}
