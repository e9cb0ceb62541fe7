import type { ClassId } from '../base'
import { togetherOf } from './together'
import type { Blocker, LearnerCard, LearnerPiece } from './together'

/**
 * A learner's work with what waits for something else. "First things first" keeps all other work of its class from
 * being begun while it is open and not finished, except what comes first as well; "in turn" keeps a piece waiting for
 * those before it. What has begun goes on, and what can no longer be done keeps nothing waiting.
 */
export function withBlocks(cards: readonly LearnerCard[]): LearnerCard[] {
  const firsts = cards.filter(comesFirst)
  return cards.map((card) => {
    const first = card.isFirst ? undefined : firsts.find((f) => f.classId === card.classId)
    // most cards wait for nothing, and lists are worked out with every look
    if (!first && !card.inTurn) return card
    const byWork: Blocker | null = first ? { kind: 'work', title: first.title } : null
    const pieces = card.pieces.map((piece, i) => {
      const earlier = card.inTurn
        ? card.pieces.slice(0, i).find((p) => isAhead(p) || p.place === 'next')
        : null
      const blocker: Blocker | null = byWork ?? (earlier ? { kind: 'piece', title: earlier.title } : null)
      return mayWait(piece) && blocker ? { ...piece, blockedBy: blocker, mayTry: false } : piece
    })
    return { ...card, pieces, ...togetherOf(pieces) }
  })
}

/** The title of what comes first in a class and is not finished; null: nothing does. */
export function firstInWay(cards: readonly LearnerCard[], classId: ClassId): string | null {
  const isInWay = (c: LearnerCard) => c.classId === classId && comesFirst(c)
  return cards.find(isInWay)?.title ?? null
}

function comesFirst(card: LearnerCard): boolean {
  return card.isFirst && !card.about.isRecommended && card.pieces.some(isAhead)
}

/** Open for its learner, and not finished. */
function isAhead(piece: LearnerPiece): boolean {
  return (piece.place === 'now' || piece.inProgress || piece.passing === 'not-yet') && !isFinished(piece)
}

/** Handed in, and passed where that is asked for, as far as further tries could still change it. */
export function isFinished(piece: LearnerPiece): boolean {
  if (piece.handedInAt === null) return false
  return piece.passing !== 'not-yet' || !piece.mayTry
}

function mayWait(piece: LearnerPiece): boolean {
  return !piece.inProgress && piece.handedInAt === null && piece.place !== 'done'
}
