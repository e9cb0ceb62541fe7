import type { AssignmentId, ClassId, Instant, ResourceId } from '#core/base'
import { isSameWork, namedClasses, noticesOf, resolveWork } from '#core/work'
import type { Assignment } from '#core/work'
import {
  addNotices,
  assignmentIdsGiving,
  assignmentIdsNear,
  assignmentsById,
  learnerWorkOf,
  replaceLearnerWork,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import { mergedRows } from './settle'
import { worldLoader } from '../ground/world'
import type { World } from '../ground/world'

/**
 * How many assignments' windows moved, and the titles of those that could not follow and stay as they were.
 */
export interface Refreshed {
  readonly moved: number
  readonly stuck: readonly string[]
}

/** Resolves anew all published work that touches classes, after their layout, roster, groups or year changed. */
export async function refreshWork(
  tx: Connection,
  classIds: readonly ClassId[],
  now: Instant,
): Promise<Refreshed> {
  return refreshAll(tx, await assignmentIdsNear(tx, classIds), now)
}

/** Resolves anew all published work that gives a piece out, after it got versions, or lost them. */
export async function refreshGiving(
  tx: Connection,
  resourceId: ResourceId,
  now: Instant,
): Promise<Refreshed> {
  return refreshAll(tx, await assignmentIdsGiving(tx, resourceId), now)
}

/** Resolves some work anew, as far as it is published. */
export async function refreshAll(
  tx: Connection,
  ids: readonly AssignmentId[],
  now: Instant,
): Promise<Refreshed> {
  const touching = await assignmentsById(tx, ids)
  const load = worldLoader(tx)
  const stuck: string[] = []
  let moved = 0
  for (const assignment of touching.filter((a) => a.state === 'published')) {
    const world = await load(assignment.authorId, namedClasses(assignment))
    const outcome = await refreshOne(tx, assignment, world, now)
    if (outcome === 'stuck') stuck.push(assignment.title)
    else if (outcome === 'moved') moved++
  }
  return { moved, stuck }
}

/** A learner who joins a class gets its open and future work. */
export async function reachNewcomer(tx: Connection, classId: ClassId, now: Instant): Promise<void> {
  await refreshWork(tx, [classId], now)
}

async function refreshOne(
  tx: Connection,
  assignment: Assignment,
  { around }: World,
  now: Instant,
): Promise<'same' | 'moved' | 'stuck'> {
  const { rows, problems } = resolveWork(assignment, around)
  if (problems.length > 0) return 'stuck'
  const had = await learnerWorkOf(tx, [assignment.id])
  const next = await mergedRows(tx, assignment, { rows, had, now })
  if (isSameWork(had, next)) return 'same'
  await replaceLearnerWork(tx, assignment.id, next)
  await addNotices(tx, noticesOf(had, next, now))
  return 'moved'
}
