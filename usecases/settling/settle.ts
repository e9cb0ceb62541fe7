import { ok, refuse } from '#core/base'
import type { Instant, Result } from '#core/base'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import { awaitsNewcomers, mergeForBegun, noticesOf, resolveWork } from '#core/work'
import type { Assignment, LearnerWork, WorkToMerge } from '#core/work'
import { addNotices, begunBy, learnerWorkOf, replaceLearnerWork, saveQueue } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { whoWaits, withoutWaiting } from './ceiling'
import type { World } from '../ground/world'

/**
 * Checks that every window stands, and for published work writes every learner's own terms and tells them what is
 * new; tells how many are reached.
 */
export async function settle(
  tx: Connection,
  assignment: Assignment,
  { around }: World,
  now: Instant,
): Promise<Result<number, AvailabilityRefusal | AudienceRefusal>> {
  const { reached, rows, problems } = resolveWork(assignment, around)
  if (problems[0]) return refuse(problems[0].refusal)
  if (reached.length === 0 && !awaitsNewcomers(assignment))
    return refuse({ code: 'audience/nobody-reached', field: 'targets' })
  if (assignment.state === 'published') {
    const had = await learnerWorkOf(tx, [assignment.id])
    const next = await mergedRows(tx, assignment, { rows, had, now })
    await replaceLearnerWork(tx, assignment.id, next)
    await addNotices(tx, noticesOf(had, next, now))
  }
  return ok(reached.length)
}

/** What every learner should have now, kind to those who have begun; who has no room for it waits in a queue. */
export async function mergedRows(
  tx: Connection,
  assignment: Assignment,
  { rows, had, now }: Omit<WorkToMerge, 'begun'>,
): Promise<LearnerWork[]> {
  const { id, notFor } = assignment
  const begun = (await begunBy(tx, [id])).get(id) ?? new Set()
  const theirs = had.filter((r) => !notFor.includes(r.classId))
  const next = mergeForBegun(id, { rows, had: theirs, begun, now })
  const has = new Set(theirs.map((r) => r.learnerId))
  const waiting = await whoWaits(tx, assignment, { rows: next, has, now })
  await saveQueue(tx, id, waiting)
  return withoutWaiting(next, waiting)
}
