import { ok } from '#core/base'
import type { AssignmentId } from '#core/base'
import type { Teacher } from '#core/access'
import { draftOf, namedClasses, partSeen } from '#core/work'
import { begunIn } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { worldLoader } from '../ground/world'
import { whereIn } from './draft'
import { workFor } from './workFor'

/** One assignment as it was set, for changing it; of classes that the actor does not reach, nothing. */
export async function showWork(deps: Deps, actor: Teacher, assignmentId: AssignmentId) {
  const tx = deps.store.read
  const found = await workFor(tx, actor, assignmentId)
  if (!found.ok) return found
  const { assignment, reach } = found.value
  const { id, version, state } = assignment
  const isWhole = reach === 'whole'
  const { learners: begun, pieces: byPiece } = await begunIn(tx, id, isWhole ? null : [...reach])
  const begunOf = Object.fromEntries(byPiece)
  const whole = draftOf(assignment)
  if (isWhole) return ok({ id, version, state, begun, begunOf, draft: whole, isWhole })
  const world = await worldLoader(tx)(assignment.authorId, namedClasses(assignment))
  return ok({ id, version, state, begun, begunOf, draft: partSeen(reach, whole, whereIn(world)), isWhole })
}
