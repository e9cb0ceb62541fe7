import { ok } from '#core/base'
import type { Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { noticesOf, withdrawnBy } from '#core/work'
import { addNotices, dropLearnerWork, learnerWorkOf, saveAssignment } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import type { WorkAtVersion } from './publishWork'
import { writeDown } from './steps'
import type { WorkChange } from './workSession'
import { workAt } from './workFor'

export type Withdrawn = Result<{ readonly done: true }, AccessRefusal>

/**
 * Takes work back, from every class or from those that the actor teaches: learners no longer see it, what they did
 * is kept.
 */
export async function withdrawWork(deps: Deps, actor: Teacher, input: WorkAtVersion): Promise<Withdrawn> {
  return writing(deps.store, async (tx): Promise<Withdrawn> => {
    const done = await withdrawAssignment(tx, deps, actor, input)
    if (!done.ok) return done
    await writeDown(tx, deps, actor, { what: 'withdrawn', done: [done.value] })
    return ok({ done: true })
  })
}

/** The same within an act that consists of more. */
export async function withdrawAssignment(
  tx: Connection,
  deps: Deps,
  actor: Teacher,
  input: WorkAtVersion,
): Promise<Result<WorkChange, AccessRefusal>> {
  const found = await workAt(tx, actor, input)
  if (!found.ok) return found
  const { assignment: before, goesTo, reach } = found.value
  const after = withdrawnBy(reach, before, goesTo)
  await saveAssignment(tx, after)
  const had = before.state === 'published' ? await learnerWorkOf(tx, [before.id]) : []
  if (after.state === 'published') await dropLearnerWork(tx, after.id, after.notFor)
  const left = after.state === 'published' ? await learnerWorkOf(tx, [after.id]) : []
  await addNotices(tx, noticesOf(had, left, deps.clock.now()))
  const learners = new Set(had.map((r) => r.learnerId)).size
  return ok({ before, after, learners })
}
