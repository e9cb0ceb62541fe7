import { groupBy } from '#core/base'
import type { ClassId, Instant } from '#core/base'
import { foldedName } from '#core/filing'
import { queueTurn } from '#core/load'
import type { QueueTurn } from '#core/load'
import { carriedBy, classesWithQueue, filingsOf, queueInClasses } from '#db/repositories'
import type { Connection, QueuedWork } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { queueName } from './ceiling'
import { refreshAll } from './refreshWork'

/** Every queue of learners of some classes, by category, and whose turn it would be in it. */
export async function queuesIn(
  tx: Connection,
  classIds: readonly ClassId[],
  now: Instant,
): Promise<readonly QueueTurn<QueuedWork>[]> {
  const waiting = await queueInClasses(tx, classIds)
  if (waiting.length === 0) return []
  const learnerIds = [...new Set(waiting.map((q) => q.learnerId))]
  const carried = groupBy(await carriedBy(tx, learnerIds, now), queueName)
  const ceilings = new Map(
    (await filingsOf(tx, classIds)).flatMap(({ classId, filing }) =>
      filing.categories.map((c) => [`${classId} ${foldedName(c.name)}`, c.most] as const),
    ),
  )
  return [...groupBy(waiting, queueName)].flatMap(([name, queue]): readonly QueueTurn<QueuedWork>[] => {
    const [first] = queue
    if (!first) return []
    // without a ceiling all of it comes
    const most = ceilings.get(`${first.classId} ${first.category}`) ?? Infinity
    return [queueTurn(queue, carried.get(name) ?? [], most, now)]
  })
}

/** Gives learners of classes what waited for them, as far as they have room for it now. */
export async function turnQueuesOfClasses(
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
  return deps.store.write((tx) => turnQueuesOfClasses(tx, [...new Set(due.map((q) => q.classId))], now))
}
