import { keptScore } from '../attempts'
import type { Attempt, Kept } from '../attempts'
import { groupBy } from '../base'
import type { PieceId, UserId } from '../base'

/**
 * How far some learners are with an assignment: counts of learners, and the mean of the scores that count.
 */
export interface Progress {
  readonly learners: number
  /** Those who have done all its pieces. */
  readonly handedIn: number
  /** Those who have begun, and not done all of it. */
  readonly inProgress: number
  /** Share of all points over every learner and piece with a score, 0 to 1; null while there is none. */
  readonly meanRatio: number | null
}

/** How a piece's tries count. */
export interface CountedPiece {
  readonly id: PieceId
  readonly kept: Kept
}

/** How far these learners are; tries of others, and at other pieces, do not count. */
export function progressOf(
  learnerIds: readonly UserId[],
  tries: readonly Attempt[],
  pieces: readonly CountedPiece[],
): Progress {
  const among = new Set(learnerIds)
  const triesOf = groupBy(
    tries.filter((t) => among.has(t.learnerId)),
    (t) => t.learnerId,
  )
  const ratios: number[] = []
  let handedIn = 0
  let inProgress = 0
  for (const own of triesOf.values()) {
    const ofPieces = pieces.map((p) => own.filter((t) => t.pieceId === p.id))
    const isDone = ofPieces.every((list) => list.some((t) => t.submittedAt !== null))
    if (isDone) handedIn++
    if (!isDone || own.some((t) => t.submittedAt === null)) inProgress++
    for (const [i, { kept }] of pieces.entries()) {
      const done = (ofPieces[i] ?? []).filter((t) => t.submittedAt !== null)
      const ratio = keptScore(done, kept)
      if (ratio !== null) ratios.push(ratio)
    }
  }
  const sum = ratios.reduce((a, b) => a + b, 0)
  return {
    learners: learnerIds.length,
    handedIn,
    inProgress,
    meanRatio: ratios.length === 0 ? null : sum / ratios.length,
  }
}
