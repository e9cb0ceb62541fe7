import type { AssignmentId, PieceId } from '../base'

/** A piece of an assignment, told from all others: pieces have names within their assignment only. */
export interface NamedPiece {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
}

/** One text for it, to be found by. */
export function pieceName({ assignmentId, pieceId }: NamedPiece): string {
  return `${assignmentId} ${pieceId}`
}
