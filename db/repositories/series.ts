import { and, asc, countDistinct, eq, inArray, sql } from 'drizzle-orm'
import type { AssignmentId, ClassId, Instant, SchoolId, SeriesId, UserId } from '#core/base'
import type { Series } from '#core/series'
import { seriesBody } from '../rows/bodies'
import { series, seriesReleases } from '../schema/classWork'
import { learnerWork } from '../schema/work'
import type { Connection } from './store'

/** A series as it is kept; `version` counts its changes. */
export interface SeriesRecord {
  readonly id: SeriesId
  readonly schoolId: SchoolId
  readonly authorId: UserId
  readonly version: number
  readonly createdAt: Instant
  readonly series: Series
}

function toRecord({ body, classId, createdAt, ...rest }: typeof series.$inferSelect): SeriesRecord {
  return { ...rest, createdAt: createdAt as Instant, series: { ...seriesBody.read(body), classId } }
}

/** One series, or null. */
export async function seriesById(tx: Connection, id: SeriesId): Promise<SeriesRecord | null> {
  const [row] = await tx.select().from(series).where(eq(series.id, id))
  return row ? toRecord(row) : null
}

/** The series of classes, oldest first. */
export async function seriesOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly SeriesRecord[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(series)
    .where(inArray(series.classId, [...classIds]))
    // of two that were made at the same instant, the first stays the first
    .orderBy(asc(series.createdAt), sql`rowid`)
  return rows.map(toRecord)
}

/** Adds a series, or puts it in the place of what it was; its version is the next. */
export async function saveSeries(tx: Connection, record: SeriesRecord): Promise<void> {
  const { series: of, ...rest } = record
  const { classId, ...body } = of
  const row = { ...rest, version: record.version + 1, classId, body: seriesBody.print(body) }
  await tx.insert(series).values(row).onConflictDoUpdate({ target: series.id, set: row })
}

/** Takes a series away; what its rows became stays, and is known again when it comes back. */
export async function dropSeries(tx: Connection, id: SeriesId): Promise<void> {
  await tx.delete(series).where(eq(series.id, id))
}

/** The work of each row that was ever released. */
export async function releasesOf(
  tx: Connection,
  ids: readonly SeriesId[],
): Promise<ReadonlyMap<SeriesId, ReadonlyMap<string, AssignmentId>>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(seriesReleases)
    .where(inArray(seriesReleases.seriesId, [...ids]))
  const out = new Map<SeriesId, Map<string, AssignmentId>>()
  for (const { seriesId, rowId, assignmentId } of rows)
    out.set(seriesId, (out.get(seriesId) ?? new Map<string, AssignmentId>()).set(rowId, assignmentId))
  return out
}

/** How many learners have each of some published work; who has none of it is absent. */
export async function learnersHaving(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<ReadonlyMap<AssignmentId, number>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select({ id: learnerWork.assignmentId, learners: countDistinct(learnerWork.learnerId) })
    .from(learnerWork)
    .where(inArray(learnerWork.assignmentId, [...ids]))
    .groupBy(learnerWork.assignmentId)
  return new Map(rows.map((r) => [r.id, r.learners]))
}

/** Remembers which work rows became. */
export async function addReleases(
  tx: Connection,
  seriesId: SeriesId,
  releases: readonly { readonly rowId: string; readonly assignmentId: AssignmentId }[],
): Promise<void> {
  if (releases.length > 0) await tx.insert(seriesReleases).values(releases.map((r) => ({ seriesId, ...r })))
}

/** Forgets what a row became, so that it can become something else. */
export async function forgetRelease(tx: Connection, seriesId: SeriesId, rowId: string): Promise<void> {
  await tx
    .delete(seriesReleases)
    .where(and(eq(seriesReleases.seriesId, seriesId), eq(seriesReleases.rowId, rowId)))
}
