import { ok } from '#core/base'
import type { AssignmentId } from '#core/base'
import type { Teacher } from '#core/access'
import { draftOf } from '#core/work'
import { begunIn } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { workFor } from './workFor'

/** One assignment as it was set, for changing it. */
export async function showWork(deps: Deps, actor: Teacher, assignmentId: AssignmentId) {
  const found = await workFor(deps.store.read, actor, assignmentId)
  if (!found.ok) return found
  const { assignment, reach } = found.value
  const { id, version, state } = assignment
  const { learners: begun, pieces: byPiece } = await begunIn(deps.store.read, id)
  const begunOf = Object.fromEntries(byPiece)
  const draft = draftOf(assignment)
  return ok({ id, version, state, begun, begunOf, draft, isWhole: reach === 'whole' })
}
