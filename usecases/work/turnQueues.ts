import { groupBy } from '#core/base'
import type { ClassId, Instant } from '#core/base'
import { foldedName } from '#core/filing'
import { queueTurn } from '#core/load'
import type { QueueTurn } from '#core/load'
import { carriedBy, classesWithQueue, filingsOf, queueInClasses } from '#db/repositories'
import type { Connection, QueuedWork } from '#db/repositories'
import type { Deps } from '../deps'
import { refreshAll } from './refreshWork'

/** A learner's queue of one category in one class. */
export interface LearnerQueue extends QueueTurn<QueuedWork> {
  /** Null: there is no ceiling any more, and all of it comes. */
  readonly most: number | null
}

/** Every queue of learners of some classes, and whose turn it would be in it. */
export async function queuesIn(
  tx: Connection,
  classIds: readonly ClassId[],
  now: Instant,
): Promise<readonly LearnerQueue[]> {
  const waiting = await queueInClasses(tx, classIds)
  if (waiting.length === 0) return []
  const learnerIds = [...new Set(waiting.map((q) => q.learnerId))]
  const carried = groupBy(await carriedBy(tx, learnerIds, now), nameOf)
  const ceilings = new Map(
    (await filingsOf(tx, classIds)).flatMap(({ classId, filing }) =>
      filing.categories.map((c) => [`${classId} ${foldedName(c.name)}`, c.most] as const),
    ),
  )
  return [...groupBy(waiting, nameOf)].flatMap(([name, queue]): readonly LearnerQueue[] => {
    const [first] = queue
    if (!first) return []
    const most = ceilings.get(`${first.classId} ${first.category}`) ?? null
    return [{ most, ...queueTurn(queue, carried.get(name) ?? [], most ?? Infinity, now) }]
  })
}

function nameOf(of: Pick<QueuedWork, 'learnerId' | 'classId' | 'category'>): string {
  return `${of.learnerId} ${of.classId} ${of.category}`
}

/** Gives learners of classes what waited for them, as far as they have room for it now. */
export async function turnQueuesIn(
  tx: Connection,
  classIds: readonly ClassId[],
  now: Instant,
): Promise<number> {
  const out = (await queuesIn(tx, classIds, now)).flatMap((q) => q.out)
  // in whatever order: each asks again whose turn it is
  await refreshAll(tx, [...new Set(out.map((q) => q.assignmentId))], now)
  return out.length
}

/**
 * Gives everybody what waited for them and has room by now: something was handed in, has closed, or was withdrawn.
 * Looks before it writes, so that nothing is written while nobody's turn has come. Tells how much was given.
 */
export async function turnQueues(deps: Pick<Deps, 'store' | 'clock'>): Promise<number> {
  const now = deps.clock.now()
  const classIds = await classesWithQueue(deps.store.read)
  const due = (await queuesIn(deps.store.read, classIds, now)).flatMap((q) => q.out)
  if (due.length === 0) return 0
  return deps.store.write((tx) => turnQueuesIn(tx, [...new Set(due.map((q) => q.classId))], now))
}
