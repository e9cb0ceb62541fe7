import { keptScore, pieceName } from '#core/attempts'
import { groupBy, wholePercent } from '#core/base'
import type { ClassId, Instant, UserId } from '#core/base'
import type { TrailPoint } from '#core/versions'
import { rulesOf } from '#core/work'
import type { Assignment, LearnerWork } from '#core/work'
import { assignmentsById, attemptsOf, learnerWorkOf, publishedIdsOf } from '#db/repositories'
import type { Connection } from '#db/repositories'

/** A point of a learner's path, with the name of the work. */
export interface NamedPoint extends TrailPoint {
  readonly title: string
}

/**
 * What each learner of a class had of pieces with versions up to `now`, in the order of time; work that was not due
 * yet counts once it was handed in.
 */
export async function trailPaths(
  tx: Connection,
  classId: ClassId,
  now: Instant,
): Promise<ReadonlyMap<UserId, readonly NamedPoint[]>> {
  const ids = await publishedIdsOf(tx, classId)
  const works = new Map((await assignmentsById(tx, ids)).map((w) => [w.id, w]))
  const rows = (await learnerWorkOf(tx, ids)).filter((r) => r.classId === classId && r.version !== null)
  const given = [...new Set(rows.map((r) => r.assignmentId))]
  const tries = groupBy(await attemptsOf(tx, given), (t) => `${pieceName(t)} ${t.learnerId}`)
  const points = rows.flatMap((row) => {
    const work = works.get(row.assignmentId)
    const own = tries.get(`${pieceName(row)} ${row.learnerId}`) ?? []
    const point = work ? pointOf(row, work, own, now) : null
    return point ? [{ learnerId: row.learnerId, point }] : []
  })
  return new Map(
    [...groupBy(points, (p) => p.learnerId)].map(([id, list]) => [
      id,
      list.map((p) => p.point).sort((a, b) => a.at - b.at),
    ]),
  )
}

function pointOf(
  row: LearnerWork,
  work: Assignment,
  tries: Awaited<ReturnType<typeof attemptsOf>>,
  now: Instant,
): NamedPoint | null {
  const piece = work.pieces.find((p) => p.id === row.pieceId)
  if (!piece || !row.version || work.exceptIds.includes(row.learnerId)) return null
  // what a person has yet to score says nothing of the support
  const scored = tries.filter((t) => !t.score?.waiting)
  const ratio = keptScore(scored, rulesOf(work, piece).kept)
  const handedIn = tries.flatMap((t) => t.submittedAt ?? [])
  const { due, closes } = row.terms
  const over = due ?? closes
  const isOver = over !== null && over <= now
  if (!isOver && handedIn.length === 0) return null
  const at = over ?? Math.max(...handedIn)
  return {
    assignmentId: row.assignmentId,
    pieceId: row.pieceId,
    title: work.title,
    at: at as Instant,
    trailId: row.version.trailId,
    percent: ratio === null ? null : wholePercent(ratio),
    isParallel: row.version.instead !== null,
  }
}
