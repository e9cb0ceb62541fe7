import type { EndedBy, TryInShort } from '#core/attempts'
import type { AssignmentId, AttemptId, Instant, PieceId, UserId } from '#core/base'

/** Columns of `attempts t` that a try in short is made of, in the order of `TryRow`. */
export const TRY_COLUMNS = `t.id, t.assignment_id, t.piece_id, t.revision, t.number,
    t.started_at, t.deadline_at, t.submitted_at, t.ended_by, t.shared_from, t.ratio`

export type TryRow = readonly [
  id: AttemptId,
  assignmentId: AssignmentId,
  pieceId: PieceId,
  revision: number,
  number: number,
  startedAt: Instant,
  deadlineAt: Instant | null,
  submittedAt: Instant | null,
  endedBy: EndedBy | null,
  sharedFrom: AttemptId | null,
  ratio: number | null,
]

/** A try of one learner, by the places of its columns: taking rows apart by name is half of what reading them costs. */
export function toTryInShort(row: TryRow, learnerId: UserId): TryInShort {
  const ratio = row[10]
  return {
    id: row[0],
    assignmentId: row[1],
    pieceId: row[2],
    learnerId,
    revision: row[3],
    number: row[4],
    startedAt: row[5],
    deadlineAt: row[6],
    submittedAt: row[7],
    endedBy: row[8],
    sharedFrom: row[9],
    score: ratio === null ? null : { ratio },
  }
}
