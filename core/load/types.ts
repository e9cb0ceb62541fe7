import type { IsoDay, Minutes, UserId } from '../base'

/** Whether a piece's minutes count on each school day of its window, or all of them on the day on which it is due. */
export const SPREADS = ['window', 'due'] as const
export type Spread = (typeof SPREADS)[number]

/** A piece that learners have to do on the same days, of whatever class and teacher. */
export interface LoadPiece {
  /** Each once. */
  readonly learnerIds: readonly UserId[]
  readonly minutes: Minutes
  /** From which day on they can do it. */
  readonly fromOn: IsoDay
  /** The last day of it: when it is due, or, without that, when it closes. */
  readonly throughOn: IsoDay
  readonly isTest: boolean
}

/** What one learner carries, by the places of days and of weeks. */
export interface LearnerLoad {
  readonly learnerId: UserId
  /** Minutes on each school day. */
  readonly days: readonly Minutes[]
  /** Minutes in each week. */
  readonly weeks: readonly Minutes[]
  /** Pieces whose last day lies in each week. */
  readonly pieces: readonly number[]
  /** Tests on each school day. */
  readonly tests: readonly number[]
}

/** Learners' loads over the school days and weeks of a stretch of time. */
export interface Load {
  readonly days: readonly IsoDay[]
  /** Mondays, in order. */
  readonly weeks: readonly IsoDay[]
  readonly learners: readonly LearnerLoad[]
}
