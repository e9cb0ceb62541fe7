import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, Instant, UserId } from '#core/base'
import { foldedName } from '#core/filing'
import { queueTurn } from '#core/load'
import type { Queued } from '#core/load'
import type { Draft, LearnerWork } from '#core/work'
import { carriedBy, filingsOf, queueOfLearners } from '#db/repositories'
import type { Connection } from '#db/repositories'

/** A learner who has as much of a category as their class lets them, and waits for more of it. */
export interface Waiting extends Queued {
  readonly classId: ClassId
  readonly category: string
  /** The class's ceiling. */
  readonly most: number
}

/** What a class lets a learner have of a category at once. */
interface ClassCeiling {
  readonly category: string
  readonly most: number
}

/** The ceilings of some classes on a category; a class without one is absent. */
export async function ceilingsOn(
  tx: Connection,
  category: string,
  classIds: readonly ClassId[],
): Promise<ReadonlyMap<ClassId, ClassCeiling>> {
  const named = foldedName(category)
  if (named === '') return new Map()
  return new Map(
    (await filingsOf(tx, classIds)).flatMap(({ classId, filing }) => {
      const of = filing.categories.find((c) => foldedName(c.name) === named)
      return of && of.most !== null ? [[classId, { category: of.name, most: of.most }] as const] : []
    }),
  )
}

/** Whom work reaches, and who of them has it already. */
interface ReachedByWork {
  readonly rows: readonly Pick<LearnerWork, 'learnerId' | 'classId' | 'terms'>[]
  readonly has: ReadonlySet<UserId>
  readonly now: Instant
}

/**
 * Who of those whom work reaches has to wait for it, because their class lets them have no more of its category at
 * once. Who has it already keeps it. `since`: from when those wait who did not yet.
 */
export async function whoWaits(
  tx: Connection,
  work: Pick<Draft, 'about' | 'overCeiling'> & {
    /** Null: work that is not kept yet. */
    readonly id: AssignmentId | null
  },
  { rows, has, now }: ReachedByWork,
): Promise<readonly Waiting[]> {
  if (work.about.isRecommended) return []
  const classIds = [...new Set(rows.map((r) => r.classId))]
  const ceilings = await ceilingsOn(tx, work.about.category, classIds)
  if (ceilings.size === 0) return []
  const free = new Set([...has, ...work.overCeiling])
  const next = groupBy(
    rows.filter((r) => ceilings.has(r.classId) && !free.has(r.learnerId)),
    (r) => r.learnerId,
  )
  const learnerIds = [...next.keys()]
  const carried = groupBy(
    (await carriedBy(tx, learnerIds, now)).filter((c) => c.assignmentId !== work.id),
    queueName,
  )
  const queues = groupBy(await queueOfLearners(tx, learnerIds), queueName)
  const category = foldedName(work.about.category)
  return [...next].flatMap(([learnerId, own]): readonly Waiting[] => {
    const classId = own[0]?.classId
    const ceiling = classId && ceilings.get(classId)
    if (!classId || !ceiling) return []
    const name = queueName({ learnerId, classId, category })
    const queue = queues.get(name) ?? []
    const since = queue.find((q) => q.assignmentId === work.id)?.since ?? now
    const one = { assignmentId: work.id, learnerId, since, pieces: own.length, ...spanOf(own) }
    const others = queue.filter((q) => q.assignmentId !== work.id)
    const { out } = queueTurn([...others, one], carried.get(name) ?? [], ceiling.most, now)
    return out.includes(one) ? [] : [{ ...one, classId, ...ceiling }]
  })
}

/** What tells a learner's queue, or what they carry, from their others; `category` as it is compared. */
export function queueName(of: {
  readonly learnerId: UserId
  readonly classId: ClassId
  readonly category: string
}): string {
  return `${of.learnerId} ${of.classId} ${of.category}`
}

/** From the first opening of some pieces until the last of them ends. */
function spanOf(rows: readonly Pick<LearnerWork, 'terms'>[]): Pick<Queued, 'from' | 'until'> {
  const opens = rows.map(({ terms }) => terms.opens ?? terms.listed)
  const ends = rows.map(({ terms }) => terms.closes ?? terms.due)
  return {
    from: opens.some((at) => at === null) ? null : (Math.min(...opens.map(Number)) as Instant),
    until: ends.some((at) => at === null) ? null : (Math.max(...ends.map(Number)) as Instant),
  }
}

/** Work of learners who need not wait for it. */
export function withoutWaiting<R extends Pick<LearnerWork, 'learnerId'>>(
  rows: readonly R[],
  waiting: readonly Pick<Waiting, 'learnerId'>[],
): R[] {
  const ids = new Set(waiting.map((w) => w.learnerId))
  return rows.filter((r) => !ids.has(r.learnerId))
}
