import { isoDay } from '../base'
import type { AssignmentId, AttemptId, Instant, IsoDay, ItemId, Minutes, PieceId, UserId } from '../base'

export const KEPT = ['best', 'latest', 'first', 'mean'] as const
export type Kept = (typeof KEPT)[number]
export const REVEALS = ['item', 'submission', 'close', 'own-close', 'never'] as const
/**
 * When something is shown: item by item, once an answer is given for good; with the submission; after the work has
 * closed for everybody who has it; after it has closed for the learner; or never.
 */
export type Reveal = (typeof REVEALS)[number]
export const ITEM_ORDERS = ['as-written', 'shuffled'] as const
export type ItemOrder = (typeof ITEM_ORDERS)[number]
export const LATE_PER = ['calendar-day', 'instructional-day'] as const

/**
 * Percent taken off per day or part of a day late; the score never falls below `floorPercent` of what was
 * earned.
 */
export interface LateRule {
  readonly percentPerDay: number
  readonly per: (typeof LATE_PER)[number]
  readonly floorPercent: number
}

export const HARDNESSES = ['easy', 'middle', 'hard'] as const
/** Difficulty 1 and 2, 3, 4 and 5. */
export type Hardness = (typeof HARDNESSES)[number]

/** So many items of a standard and a hardness; null: of any. */
export interface Share {
  readonly standard: string | null
  readonly hardness: Hardness | null
  readonly count: number
}

/** As many items as one try may be told to have. */
export const MOST_ITEMS = 100
/** Which items of a piece one try has. */
export type ItemChoice =
  | { readonly kind: 'all' }
  /** Drawn for each learner; a further try has the same ones, or new ones, unseen items first. */
  | { readonly kind: 'drawn'; readonly shares: readonly Share[]; readonly again: 'same' | 'new' }
  /**
   * One after another, each as hard as suits the answers so far: `most` items, or fewer once the standard error of
   * the estimate is at most `untilError` (in logits).
   */
  | { readonly kind: 'adaptive'; readonly most: number; readonly untilError: number | null }

export const HELPS = [
  'hints',
  'calculator',
  'read-aloud',
  'spelling',
  'expected-words',
  'own-check',
  'worked-example',
] as const
/** What a learner may use while working. */
export type Help = (typeof HELPS)[number]

export interface AttemptRules {
  readonly maxAttempts: number | null
  readonly kept: Kept
  readonly waitMinutes: Minutes
  readonly timeLimitMinutes: Minutes | null
  readonly order: ItemOrder
  /** When scores and each item's feedback are shown. */
  readonly feedback: Reveal
  /** When the right answers are shown. */
  readonly answers: Reveal
  readonly late: LateRule | null
  readonly items: ItemChoice
  readonly help: readonly Help[]
  /** The share of points from which a piece counts as passed, in percent; null: handed in is enough. */
  readonly passPercent: number | null
}

/** Rules that were made before these parts existed: all items, no help, nothing to pass. */
export const LATER_RULES = { items: { kind: 'all' }, help: [], passPercent: null } as const satisfies Pick<
  AttemptRules,
  'items' | 'help' | 'passPercent'
>

export const ENDED_BY = ['learner', 'time-limit', 'closing'] as const
export type EndedBy = (typeof ENDED_BY)[number]

/** One try at one piece of an assignment. While `submittedAt` is null it is in progress. */
export interface Attempt {
  readonly id: AttemptId
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  /** The form of the piece as it was when the try began; it stays that for this try. */
  readonly revision: number
  readonly learnerId: UserId
  /** 1 for the first. */
  readonly number: number
  readonly startedAt: Instant
  /** Set by the time limit; the server decides. */
  readonly deadlineAt: Instant | null
  readonly submittedAt: Instant | null
  readonly endedBy: EndedBy | null
  /** Null while in progress, and for a piece that is only read. */
  readonly score: AttemptScore | null
  /** The items that were chosen for this try, in its order; null: all of the piece. */
  readonly itemIds: readonly ItemId[] | null
  /** The try of their team in which it was handed in for them; null: it is their own. */
  readonly sharedFrom: AttemptId | null
}

/** A try without what its single items have earned. */
export interface TryInShort extends Omit<Attempt, 'score' | 'itemIds'> {
  readonly score: Pick<AttemptScore, 'ratio'> | null
}

export interface ItemScore {
  readonly itemId: ItemId
  readonly points: number
  readonly of: number
  /** It was answered, and a person has yet to score it. */
  readonly waits?: true
  /** What the person who scored it wrote to the learner. */
  readonly comment?: string
  /** What that person gave for each criterion of the piece, in their order; absent where it has none. */
  readonly levels?: readonly number[]
}

/**
 * `points` earned of `of`; `ratio` after the late deduction, over what is scored: `waiting` points of what a person has
 * yet to score are left out of it. Of an adaptive try the ratio is what its learner would be
 * expected to earn over all items of the piece, and `estimate` says by what.
 */
export interface AttemptScore {
  readonly points: number
  readonly of: number
  readonly ratio: number
  readonly lateDays: number
  readonly deductedRatio: number
  readonly items: readonly ItemScore[]
  readonly estimate?: Estimate
  readonly waiting?: number
}

/** How able somebody is, and how sure that is: both in logits. */
export interface Estimate {
  readonly ability: number
  readonly error: number
}

/** The learner's own limits and moments that decide about tries. */
export interface TryTerms {
  readonly opensAt: Instant | null
  readonly dueAt: Instant | null
  readonly closesAt: Instant | null
  readonly maxAttempts: number | null
  readonly timeLimitMinutes: Minutes | null
}

/** School days with their local span, for deductions per instructional day. */
export interface LateDays {
  readonly zoneDayOf: (at: Instant) => IsoDay
  readonly instructional: ReadonlySet<IsoDay>
}

/** For work that came in time: nothing looks into them. */
export const NO_LATE_DAYS: LateDays = { zoneDayOf: () => isoDay('1970-01-01'), instructional: new Set() }
