import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import { ok } from '#core/base'
import type { ClassId, Result, UserId } from '#core/base'
import { leaveClass } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { refreshWork } from '../settling/refreshWork'
import { learnerFor } from '../ground/classAccess'

export type Removed = Result<{ readonly done: true }, AccessRefusal | AudienceRefusal>

/**
 * Takes a learner out of a class and its groups. Work they have not begun goes with it; what they did is kept,
 * and is there again when they come back.
 */
export async function removeLearner(
  deps: Deps,
  actor: Teacher,
  input: { readonly classId: ClassId; readonly learnerId: UserId },
): Promise<Removed> {
  return writing(deps.store, async (tx): Promise<Removed> => {
    const found = await learnerFor(tx, actor, input)
    if (!found.ok) return found
    await leaveClass(tx, input.classId, input.learnerId, deps.clock.now())
    await refreshWork(tx, [input.classId], deps.clock.now())
    return ok({ done: true })
  })
}
