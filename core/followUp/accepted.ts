import { groupBy } from '../base'
import type { ResourceId, UserId } from '../base'

/** One piece that one learner shall have. */
export interface Accepted {
  readonly learnerId: UserId
  readonly pieceId: ResourceId
}

/** A piece of one work, and who of its learners has it; absent: all of them. */
export interface AcceptedPiece {
  readonly pieceId: ResourceId
  readonly onlyIds?: readonly UserId[] | undefined
}

/** One work out of what was accepted, in which everybody has only their own: its learners, and its pieces. */
export function asOneWork(accepted: readonly Accepted[]): {
  readonly learnerIds: readonly UserId[]
  readonly pieces: readonly AcceptedPiece[]
} {
  const learnerIds = [...new Set(accepted.map((a) => a.learnerId))]
  const pieces = [...groupBy(accepted, (a) => a.pieceId)].map(([pieceId, of]): AcceptedPiece => {
    const onlyIds = [...new Set(of.map((a) => a.learnerId))]
    return onlyIds.length === learnerIds.length ? { pieceId } : { pieceId, onlyIds }
  })
  return { learnerIds, pieces }
}
