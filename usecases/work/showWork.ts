import { ok } from '#core/base'
import type { AssignmentId } from '#core/base'
import type { Actor } from '#core/access'
import { begunBy, begunPieces } from '#db/repositories'
import type { Deps } from '../deps'
import { workFor } from './workFor'

/** One assignment as it was set, for changing it. */
export async function showWork(deps: Deps, actor: Actor, assignmentId: AssignmentId) {
  const found = await workFor(deps.store.read, actor, assignmentId)
  if (!found.ok) return found
  const { assignment, hand } = found.value
  const { id, version, state, pieces, title, note, window, rules, targets, exceptIds } = assignment
  const begun = (await begunBy(deps.store.read, [id])).get(id)?.size ?? 0
  const begunOf = Object.fromEntries(await begunPieces(deps.store.read, id))
  const draft = { pieces, title, note, window, rules, targets, exceptIds }
  return ok({ id, version, state, begun, begunOf, draft, isWhole: hand === 'whole' })
}
