import { ok } from '#core/base'
import type { ResourceId } from '#core/base'
import type { Learner } from '#core/access'
import type { PiecePlace } from '#core/library'
import { screenFor } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { newsSince } from './newsSince'
import { openPractice } from './practice'

interface Place {
  readonly place: PiecePlace | null
}

/** Looks for a piece that a text leads to; null where nobody has given it to the actor, or there is none. */
export async function findPiece(deps: Pick<Deps, 'store' | 'clock'>, actor: Learner, resourceId: ResourceId) {
  const now = deps.clock.now()
  const { listed } = await screenFor(deps.store.read, actor.userId, { now, since: newsSince(now) })
  const given = listed.find((row) => row.resourceId === resourceId)
  if (given) {
    const { assignmentId, pieceId } = given
    return ok<Place>({ place: { kind: 'work', assignmentId, pieceId } })
  }
  const practice = await openPractice(deps, actor, resourceId)
  // what has to be done first is said where they practise
  const isThere = practice.ok || practice.error.code === 'attempts/first-things-first'
  return ok<Place>({ place: isThere ? { kind: 'practice' } : null })
}
