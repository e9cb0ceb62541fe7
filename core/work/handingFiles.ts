import type { AttemptRefusal } from '../attempts'
import { ok, refuse } from '../base'
import type { Instant, Result } from '../base'
import type { KeptFile } from '../library'
import type { LearnerPiece } from './together'

/** A file that was handed in, and by whom of a team; null: by the learner who looks. */
export interface MyFile extends KeptFile {
  readonly handedAt: Instant
  readonly by: string | null
}

/**
 * Whether a learner may hand in files for a piece, or take them back, now: while it is open or late, and waits for
 * nothing else. Refused otherwise, with what it waits for or when it opens or closed.
 */
export function mayHandFiles(
  piece: Pick<LearnerPiece, 'state' | 'blockedBy' | 'opensAt' | 'closesAt'>,
  now: Instant,
): Result<true, AttemptRefusal> {
  const { state, blockedBy, opensAt, closesAt } = piece
  if (blockedBy)
    return refuse({ code: 'attempts/first-things-first', field: 'assignmentId', title: blockedBy.title })
  if (state === 'open' || state === 'late') return ok(true)
  if (state === 'coming-up' && opensAt !== null)
    return refuse({ code: 'attempts/not-open-yet', field: 'assignmentId', opensAt })
  return refuse({ code: 'attempts/closed', field: 'assignmentId', closedAt: closesAt ?? now })
}
