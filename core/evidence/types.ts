import type { Instant, ItemId, UserId } from '../base'
import type { Kept, NamedPiece, Passing, TryInShort } from '../attempts'

/** One piece of an assignment as a column of the grid. */
export interface GridWork extends NamedPiece {
  readonly kept: Kept
  readonly passPercent: number | null
  /** It is only recommended: nobody is missing or late. */
  readonly isRecommended?: boolean
}

/** A learner's own moments for one piece; absent when the work does not reach them. */
export interface GridTerms extends NamedPiece {
  readonly learnerId: UserId
  readonly dueAt: Instant | null
  readonly closesAt: Instant | null
  readonly opensAt: Instant | null
  /** Their own pass mark; absent: that of the work. */
  readonly passPercent?: number | null | undefined
  /** They have another task in its place. */
  readonly isParallel?: boolean
}

export const CELL_STATES = [
  'not-for-them',
  'not-open',
  'to-do',
  'in-progress',
  'handed-in',
  'missing',
] as const
export type CellState = (typeof CELL_STATES)[number]

export interface Cell extends NamedPiece {
  readonly learnerId: UserId
  readonly state: CellState
  /** Kept score as a share of all points; null while there is none. */
  readonly ratio: number | null
  readonly passPercent: number | null
  readonly passing: Passing
  readonly attempts: number
  /** Answers of the counted tries that a person has yet to score. */
  readonly toScore: number
  /** Answers that were scored, and whose learners do not see it yet. */
  readonly toRelease: number
  /** The kept try (or, for a mean, any counted try) came after it was due. */
  readonly late: boolean
  /** They have another task in its place. */
  readonly isParallel: boolean
}

export interface GridInput {
  readonly learnerIds: readonly UserId[]
  readonly works: readonly GridWork[]
  readonly terms: readonly GridTerms[]
  readonly attempts: readonly GridTry[]
  /** Whether somebody has scored an answer of a try by all criteria, and not released it. */
  readonly isDrafted?: (attempt: GridTry, itemId: ItemId) => boolean
}

/** A try as far as a grid goes; its score is null where nothing of it counts yet. */
export interface GridTry extends TryInShort {
  /** Answers that a person scores, and whose learner has no score yet. */
  readonly waitingIds: readonly ItemId[]
}

/** Figures of one item over the tries that count; `n` tries. Under 8 they are marked as few. */
export interface ItemFigures {
  readonly itemId: ItemId
  readonly n: number
  readonly few: boolean
  readonly rightCount: number
  /** Full points only. */
  readonly rightRatio: number
  readonly meanRatio: number
  readonly omittedCount: number
  /** Answers that a person has yet to score; they are in no share. */
  readonly waitingCount: number
  /**
   * How well it tells who knows the rest, -1 to 1: the correlation of its share of points with the share of the other
   * items (corrected point-biserial). Null: under 8 tries, or all gave the same.
   */
  readonly discrimination: number | null
  /** How many chose each option, by option id. */
  readonly options: Readonly<Record<string, number>>
  /** What was answered most often where nothing is chosen, such as a typed number; not what a person scores. */
  readonly commonest: readonly CommonAnswer[]
}

/** An answer that several gave, alike but for case and spaces. */
export interface CommonAnswer {
  readonly text: string
  readonly count: number
  /** It has all points. */
  readonly isRight: boolean
}
