import { ok, refuse } from '../base'
import type { Instant, Result } from '../base'
import { faultInExchange } from './pieces'
import type { WorkRefusal } from './refusals'
import type { Assignment, Begun, Draft } from './types'

/**
 * The assignment with other settings. Refused when it is withdrawn, or when it would take a piece that learners
 * have begun or give them another one in its place.
 */
export function changed(
  assignment: Assignment,
  draft: Draft,
  begun: Begun['pieces'],
): Result<Assignment, WorkRefusal> {
  if (assignment.state === 'withdrawn') return refuse({ code: 'work/withdrawn', field: 'state' })
  const fault = faultInExchange(assignment.pieces, draft.pieces, begun)
  if (fault) return refuse(fault)
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
