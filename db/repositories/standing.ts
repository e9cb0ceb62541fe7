import { asc, eq, inArray } from 'drizzle-orm'
import type { AssignmentId, ClassId, PlanId, StandingId } from '#core/base'
import type { StandingPiece, StandingSetting } from '#core/standing'
import { standingBaseBody, standingBody } from '../rows/bodies'
import { standing, standingLaid } from '../schema/classWork'
import type { Connection } from './store'

/** A piece of a plan's standing work as it is kept; `version` counts its changes. */
export interface StandingRecord {
  readonly id: StandingId
  readonly planId: PlanId
  readonly position: number
  readonly version: number
  readonly isGone: boolean
  readonly piece: StandingPiece
}

/** What a class made of one; `assignmentId` null: it does without. */
export interface LaidRecord {
  readonly standingId: StandingId
  readonly classId: ClassId
  readonly assignmentId: AssignmentId | null
  readonly base: StandingSetting | null
  readonly refused: number
}

function toRecord({ body, lessonId, ...rest }: typeof standing.$inferSelect): StandingRecord {
  return { ...rest, piece: { ...standingBody.read(body), lessonId } }
}

/** A plan's standing work in its order, what was taken out included. */
export async function standingOf(
  tx: Connection,
  planIds: readonly PlanId[],
): Promise<readonly StandingRecord[]> {
  if (planIds.length === 0) return []
  const rows = await tx
    .select()
    .from(standing)
    .where(inArray(standing.planId, [...new Set(planIds)]))
    .orderBy(asc(standing.position), asc(standing.id))
  return rows.map(toRecord)
}

/** One piece of standing work, or null. */
export async function standingById(tx: Connection, id: StandingId): Promise<StandingRecord | null> {
  const [row] = await tx.select().from(standing).where(eq(standing.id, id))
  return row ? toRecord(row) : null
}

/** Adds pieces, or puts them in the place of what they were; their versions are the next. */
export async function saveStanding(tx: Connection, records: readonly StandingRecord[]): Promise<void> {
  for (const { piece, ...rest } of records) {
    const { lessonId, ...body } = piece
    const row = { ...rest, version: rest.version + 1, lessonId, body: standingBody.print(body) }
    await tx.insert(standing).values(row).onConflictDoUpdate({ target: standing.id, set: row })
  }
}

/** What classes made of standing work. */
export async function laidIn(tx: Connection, classIds: readonly ClassId[]): Promise<readonly LaidRecord[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(standingLaid)
    .where(inArray(standingLaid.classId, [...new Set(classIds)]))
  return rows.map(({ base, ...rest }) => ({
    ...rest,
    base: base === null ? null : standingBaseBody.read(base),
  }))
}

/** Remembers what classes made of standing work, in place of what they had. */
export async function saveLaid(tx: Connection, records: readonly LaidRecord[]): Promise<void> {
  for (const { base, ...rest } of records) {
    const row = { ...rest, base: base === null ? null : standingBaseBody.print(base) }
    await tx
      .insert(standingLaid)
      .values(row)
      .onConflictDoUpdate({ target: [standingLaid.standingId, standingLaid.classId], set: row })
  }
}

/** Forgets all of a plan's standing work, before the plan goes. */
export async function dropStandingOf(tx: Connection, planId: PlanId): Promise<void> {
  await tx.delete(standing).where(eq(standing.planId, planId))
}
