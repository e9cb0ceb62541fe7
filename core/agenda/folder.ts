import { cardOfKind } from '../library'
import { groupBy } from '../base'
import type { AssignmentId, ClassId, Instant, PieceId } from '../base'
import { byHeading } from '../filing'
import type { LearnerCard, LearnerPiece } from '../work'

/** What became of an own copy so far; `missed`: it is over and was not handed in. */
export type CopyState = 'blank' | 'begun' | 'handed-in' | 'missed'

/** A learner's own copy of a page. */
export interface PageCopy {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly title: string
  readonly state: CopyState
  readonly dueAt: Instant | null
  readonly handedInAt: Instant | null
  /** 0 … 1, where it is shown. */
  readonly ratio: number | null
}

/** The copies of one class, under its headings. */
export interface ClassFolder {
  readonly classId: ClassId
  readonly className: string
  readonly parts: readonly { readonly heading: string; readonly copies: readonly PageCopy[] }[]
}

/**
 * A learner's own copies of pages, class by class under the headings of the class, the oldest first. What has not
 * opened yet is no copy of theirs.
 * @param headings in the order in which they are found
 */
export function folderOf(cards: readonly LearnerCard[], headings: readonly string[]): readonly ClassFolder[] {
  const byClass = groupBy(cards.filter(hasCopy), (c) => c.classId)
  return [...byClass].map(([classId, own]) => ({
    classId,
    className: own[0]?.className ?? '',
    parts: byHeading(own, (c) => c.about.heading, headings).map(({ heading, list }) => ({
      heading,
      copies: copiesOf(list),
    })),
  }))
}

/** Whether a learner has own copies of pages. */
export function hasCopy(card: LearnerCard): boolean {
  return card.pieces.some(isCopy)
}

function isCopy({ kind, place }: LearnerPiece): boolean {
  return cardOfKind(kind).isOwnCopy && place !== 'next'
}

function copiesOf(cards: readonly LearnerCard[]): readonly PageCopy[] {
  return cards
    .flatMap((card) => card.pieces.filter(isCopy).map((piece) => ({ card, piece })))
    .sort((a, b) => (a.piece.opensAt ?? 0) - (b.piece.opensAt ?? 0))
    .map(({ card, piece }) => ({
      assignmentId: card.id,
      pieceId: piece.pieceId,
      title: card.pieces.length === 1 ? card.title : piece.title,
      state: stateOf(piece),
      dueAt: piece.dueAt,
      handedInAt: piece.handedInAt,
      ratio: piece.ratio,
    }))
}

function stateOf({ inProgress, handedInAt, place }: LearnerPiece): CopyState {
  if (inProgress) return 'begun'
  if (handedInAt !== null) return 'handed-in'
  return place === 'done' ? 'missed' : 'blank'
}
