import { isoDay } from '../base'
import type { AssignmentId, AttemptId, Instant, IsoDay, ItemId, Minutes, PieceId, UserId } from '../base'

export const KEPT = ['best', 'latest', 'first', 'mean'] as const
export type Kept = (typeof KEPT)[number]
export const REVEALS = ['submission', 'close', 'own-close', 'never'] as const
/**
 * When something is shown: with the submission, after the work has closed for everybody who has it, after it has
 * closed for the learner, or never.
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
}

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
}

export interface ItemScore {
  readonly itemId: ItemId
  readonly points: number
  readonly of: number
}

/** `points` earned of `of`; `ratio` after the late deduction. */
export interface AttemptScore {
  readonly points: number
  readonly of: number
  readonly ratio: number
  readonly lateDays: number
  readonly deductedRatio: number
  readonly items: readonly ItemScore[]
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
