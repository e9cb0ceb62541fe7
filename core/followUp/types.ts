import type { Minutes, ResourceId, UserId } from '../base'
import type { Resource } from '../library'

/** Under this code stand questions that name no standard. */
export const NO_STANDARD = ''

/** How a learner did on one standard of a check. */
export interface OnStandard {
  readonly code: string
  /** Items without all points. */
  readonly missed: number
  readonly items: number
  /** Share of points, 0 to 1. */
  readonly share: number
}

/** A learner whose results are answered, and what they carry already. */
export interface FollowUpLearner {
  readonly id: UserId
  /** Every standard they were asked for; none: they have no score. */
  readonly on: readonly OnStandard[]
  /** On which of these they were given something after this check. */
  readonly given: readonly string[]
  /** How they did on standards in what they were given after it. */
  readonly since: readonly OnStandard[]
  /** Pieces they were given, in whatever work. */
  readonly hasIds: readonly ResourceId[]
  /** Of all their work here: the share on standards that they were asked for, recent ones weightier. */
  readonly standings: Readonly<Record<string, number>>
  /** What they have to hand in within a week. */
  readonly minutesDue: Minutes
}

/** A piece that may be given. */
export interface FollowUpPiece extends Pick<
  Resource,
  'id' | 'title' | 'kind' | 'role' | 'minutes' | 'grade' | 'standards'
> {
  readonly revision: number
  readonly itemCount: number
}

/** What there is to give, and what points where. */
export interface FollowUpGround {
  /** The grade that the check is made for: pieces of it go first. */
  readonly grade: number
  /** The check itself is never given again by it. */
  readonly checkId: ResourceId
  readonly pieces: readonly FollowUpPiece[]
  /** "If weak here, give that": from a standard, or from the check as a whole (null). */
  readonly pointers: readonly { readonly code: string | null; readonly to: ResourceId }[]
  /** What comes before a standard, by code. A circle is looked at once. */
  readonly requires: Readonly<Record<string, readonly string[]>>
}

/** Whether what was missed is answered itself, or, where that is weak, what it needs. */
export type Reach = 'level' | 'back'

/** How much, and how far, is proposed. */
export interface FollowUpTerms {
  /** As many pieces each learner is given at most; 1 or more. */
  readonly most: number
  /** As many minutes they may have to hand in within a week, with what they have already; null: no limit. */
  readonly mostMinutes: Minutes | null
  readonly reach: Reach
  /** Whether who missed nothing is given what goes further. */
  readonly extend: boolean
}

/** The guide names it; the shelf has it on the standard; it teaches what the standard needs; it goes further. */
export type Because = 'guide' | 'shelf' | 'before' | 'further'

/** One piece for one learner, and why. */
export interface Proposal {
  readonly learnerId: UserId
  /** What was missed and led to it: the surest weakness it answers. Of what goes further: where it goes on from. */
  readonly code: string
  /** All that was missed and is answered by it, `code` first. */
  readonly answers: readonly string[]
  readonly pieceId: ResourceId
  readonly because: Because
  /** Which earlier standard it teaches, when that is why. */
  readonly via: string | null
  /** What else would do, the fittest first, `pieceId` among them. */
  readonly choices: readonly ResourceId[]
}

/** Something missed for which a learner is proposed nothing. */
export interface Unanswered {
  readonly learnerId: UserId
  readonly code: string
  /** Nothing serves it; they have all that does; the piece would be more than they may be given, or can carry. */
  readonly why: 'nothing-serves' | 'has-all' | 'enough-pieces' | 'enough-minutes'
}

export interface FollowUp {
  readonly proposals: readonly Proposal[]
  readonly unanswered: readonly Unanswered[]
}
