import { ok, refuse } from '../base'
import type { Instant, Result } from '../base'
import type { WorkRefusal } from './refusals'
import type { Assignment, Draft } from './types'

/**
 * The assignment with other settings. Refused when it is withdrawn, or when it would give another piece to
 * learners who have begun.
 */
export function changed(
  assignment: Assignment,
  draft: Draft,
  anyoneHasBegun: boolean,
): Result<Assignment, WorkRefusal> {
  if (assignment.state === 'withdrawn') return refuse({ code: 'work/withdrawn', field: 'state' })
  if (draft.resourceId !== assignment.resourceId && anyoneHasBegun)
    return refuse({ code: 'work/already-begun', field: 'resourceId' })
  return ok({ ...assignment, ...draft })
}

/** The assignment as learners may see it from now on; what was published before keeps its first moment. */
export function published(assignment: Assignment, now: Instant): Assignment {
  return { ...assignment, state: 'published', publishedAt: assignment.publishedAt ?? now }
}

/** The assignment taken back; what learners did is kept. */
export function withdrawn(assignment: Assignment): Assignment {
  return { ...assignment, state: 'withdrawn' }
}
