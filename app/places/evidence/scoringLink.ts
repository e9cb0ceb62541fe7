import type { AssignmentId, ClassId, PieceId } from '#core/base'
import { count } from '~/shared/words/numbers'

/** The texts of a class that a person scores. */
export function scoringQueue(of: {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly classId: ClassId
}) {
  return { path: '/evidence/queue', query: { work: of.assignmentId, piece: of.pieceId, class: of.classId } }
}

/** What waits there: 'Score 3 texts', or 'Release 3 scores' once all are scored; empty: nothing. */
export function sayToScore({ toScore, toRelease }: Waiting): string {
  if (toScore > 0) return `Score ${count(toScore, 'text')}`
  return toRelease > 0 ? `Release ${count(toRelease, 'score')}` : ''
}

interface Waiting {
  readonly toScore: number
  readonly toRelease: number
}

/** All that waits in some cells. */
export function waitingIn(cells: readonly Waiting[]): Waiting {
  const sum = (of: (cell: Waiting) => number) => cells.reduce((n, cell) => n + of(cell), 0)
  return { toScore: sum((c) => c.toScore), toRelease: sum((c) => c.toRelease) }
}
