import type { ClassId } from '#core/base'
import { grownOnly } from '#core/availability'
import {
  assignmentIdsTouching,
  assignmentsById,
  begunBy,
  learnerWorkOf,
  replaceLearnerWork,
} from '#db/repositories'
import type { AssignmentRecord, Connection, LearnerWorkRecord } from '#db/repositories'
import { namedClasses, resolveWork, worldLoader } from './world'
import type { World } from './world'

/** How many assignments' windows moved, and the titles of those that could not follow and stay as they were. */
export interface Refreshed {
  readonly moved: number
  readonly stuck: readonly string[]
}

/** Resolves anew all published work that touches classes, after their layout, roster or year changed. */
export async function refreshWork(tx: Connection, classIds: readonly ClassId[]): Promise<Refreshed> {
  const records = (await assignmentsById(tx, await assignmentIdsTouching(tx, classIds))).filter(
    (r) => r.state === 'published',
  )
  const load = worldLoader(tx)
  const stuck: string[] = []
  let moved = 0
  for (const record of records) {
    const outcome = await refreshOne(tx, record, await load(record.authorId, namedClasses(record)))
    if (outcome === 'stuck') stuck.push(record.title)
    else if (outcome === 'moved') moved++
  }
  return { moved, stuck }
}

/** A learner who joins a class gets its open and future work. */
export async function reachNewcomer(tx: Connection, classId: ClassId): Promise<void> {
  await refreshWork(tx, [classId])
}

async function refreshOne(
  tx: Connection,
  record: AssignmentRecord,
  world: World,
): Promise<'same' | 'moved' | 'stuck'> {
  const had = await learnerWorkOf(tx, [record.id])
  const rows = await mergedRows(tx, record, world, had)
  if (rows === null) return 'stuck'
  if (sameRows(had, rows)) return 'same'
  await replaceLearnerWork(tx, record.id, rows)
  return 'moved'
}

/**
 * The rows an assignment should have now. Windows of learners who have begun only grow, and one who has begun and is no longer
 * reached keeps the work and its results. Null when a window cannot be resolved.
 */
export async function mergedRows(
  tx: Connection,
  record: AssignmentRecord,
  world: World,
  had: readonly LearnerWorkRecord[],
): Promise<LearnerWorkRecord[] | null> {
  const { rows, problems } = resolveWork(record, world)
  if (problems.length > 0) return null
  const before = new Map(had.map((r) => [r.learnerId, r]))
  const begun = await begunBy(tx, [record.id])
  const next = rows.map((row): LearnerWorkRecord => {
    const old = before.get(row.learnerId)
    if (!old || !begun.has(`${record.id} ${row.learnerId}`)) return { ...row, assignmentId: record.id }
    const window = grownOnly(old.terms, row.terms)
    const because = row.because.map((b) =>
      b.field in window && window[b.field as keyof typeof window] !== row.terms[b.field]
        ? { ...b, level: 'started' as const, sourceId: null }
        : b,
    )
    return { ...row, assignmentId: record.id, terms: { ...row.terms, ...window }, because }
  })
  const reached = new Set(next.map((r) => r.learnerId))
  const kept = had.filter((r) => !reached.has(r.learnerId) && begun.has(`${record.id} ${r.learnerId}`))
  return [...next, ...kept]
}

function sameRows(a: readonly LearnerWorkRecord[], b: readonly LearnerWorkRecord[]): boolean {
  const key = (r: LearnerWorkRecord) =>
    JSON.stringify([
      r.learnerId,
      r.classId,
      r.terms.listed,
      r.terms.opens,
      r.terms.due,
      r.terms.closes,
      r.terms.putAway,
      r.terms.maxAttempts,
      r.terms.timeLimitMinutes === null ? null : Math.round(r.terms.timeLimitMinutes),
    ])
  const known = new Set(a.map(key))
  return a.length === b.length && b.every((r) => known.has(key(r)))
}
