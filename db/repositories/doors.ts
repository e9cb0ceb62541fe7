import { and, desc, eq, inArray, lte, sql } from 'drizzle-orm'
import type { DoorCount } from '#core/access'
import type { Instant, SchoolId, UserId } from '#core/base'
import { knownPlaces, throttles, users } from '../schema/people'
import type { Connection } from './store'

/** What was counted at doors, by key; keys without a count are absent. */
export async function doorCounts(
  tx: Connection,
  keys: readonly string[],
): Promise<ReadonlyMap<string, DoorCount>> {
  const rows = await tx
    .select()
    .from(throttles)
    .where(inArray(throttles.key, [...keys]))
  return new Map(
    rows.map((r) => [
      r.key,
      { tries: r.failures, nextAt: r.nextAt as Instant, expiresAt: r.expiresAt as Instant },
    ]),
  )
}

/** Keeps counts, and forgets those that have expired. */
export async function saveDoorCounts(
  tx: Connection,
  counts: ReadonlyMap<string, DoorCount>,
  now: Instant,
): Promise<void> {
  if (counts.size === 0) return
  await tx
    .insert(throttles)
    .values(
      [...counts].map(([key, { tries, ...times }]) => ({ key, failures: tries, sinceAt: now, ...times })),
    )
    .onConflictDoUpdate({
      target: throttles.key,
      set: {
        failures: sql`excluded.failures`,
        sinceAt: sql`excluded.since_at`,
        nextAt: sql`excluded.next_at`,
        expiresAt: sql`excluded.expires_at`,
      },
    })
  await tx.delete(throttles).where(lte(throttles.expiresAt, now))
}

/** Forgets what was counted under these keys. */
export async function forgetDoorCounts(tx: Connection, keys: readonly string[]): Promise<void> {
  await tx.delete(throttles).where(inArray(throttles.key, [...keys]))
}

/** Which of these places somebody signed in at before. */
export async function placesKnownTo(
  tx: Connection,
  userId: UserId,
  ids: readonly string[],
): Promise<ReadonlySet<string>> {
  const rows = await tx
    .select({ id: knownPlaces.id })
    .from(knownPlaces)
    .where(and(eq(knownPlaces.userId, userId), inArray(knownPlaces.id, [...ids])))
  return new Set(rows.map((r) => r.id))
}

/** Whether anybody of a school (null: of any) signed in at a place before. */
export async function isPlaceOf(tx: Connection, id: string, schoolId: SchoolId | null): Promise<boolean> {
  const [row] = await tx
    .select({ id: knownPlaces.id })
    .from(knownPlaces)
    .innerJoin(users, eq(users.id, knownPlaces.userId))
    .where(and(eq(knownPlaces.id, id), schoolId === null ? undefined : eq(users.schoolId, schoolId)))
    .limit(1)
  return row !== undefined
}

const MOST_PLACES = 20

/** Keeps where somebody signed in; the oldest of too many are forgotten. */
export async function keepPlaces(
  tx: Connection,
  userId: UserId,
  ids: readonly string[],
  seenAt: Instant,
): Promise<void> {
  await tx
    .insert(knownPlaces)
    .values(ids.map((id) => ({ userId, id, seenAt })))
    .onConflictDoUpdate({ target: [knownPlaces.userId, knownPlaces.id], set: { seenAt } })
  const old = await tx
    .select({ id: knownPlaces.id })
    .from(knownPlaces)
    .where(eq(knownPlaces.userId, userId))
    .orderBy(desc(knownPlaces.seenAt))
    .offset(MOST_PLACES)
    .limit(100)
  if (old.length === 0) return
  const forgotten = old.map((o) => o.id)
  await tx.delete(knownPlaces).where(and(eq(knownPlaces.userId, userId), inArray(knownPlaces.id, forgotten)))
}
