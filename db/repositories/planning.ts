import { and, asc, desc, eq, inArray, isNull, or, sql } from 'drizzle-orm'
import type { BookId, ClassId, Instant, PlanId, SchoolId, UserId } from '#core/base'
import type { Plan } from '#core/pacing'
import { fromCommand, fromPlan, toCommand, toPlan } from '../rows/calendarRows'
import type { JournalCommand } from '#core/journal'
import { feeds, journal, plans } from '../schema/pacing'
import { users } from '../schema/people'
import type { Connection } from './store'

export interface PlanRecord {
  readonly plan: Plan
  readonly schoolId: SchoolId
  readonly ownerId: UserId
  readonly bookId: BookId | null
  readonly version: number
  readonly isArchived: boolean
}
/** `touches`: ids of the classes, plan or year that the act is about. */
export interface JournalEntry {
  readonly seq: number
  readonly at: Instant
  readonly state: 'done' | 'undone' | 'dropped' | 'passed'
  readonly command: JournalCommand
}
/** The private address under which a class's calendar can be read without signing in. */
export interface Feed {
  readonly token: string
  readonly classId: ClassId
  readonly userId: UserId
  readonly createdAt: Instant
}

/** Plans by id. */
export async function plansById(
  tx: Connection,
  ids: readonly PlanId[],
): Promise<ReadonlyMap<PlanId, PlanRecord>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(plans)
    .where(inArray(plans.id, [...new Set(ids)]))
  return new Map(rows.map((r) => [r.id, toPlanRecord(r)]))
}

/** Plans of a school that are not archived. */
export async function plansOf(tx: Connection, schoolId: SchoolId): Promise<readonly PlanRecord[]> {
  return (
    await tx
      .select()
      .from(plans)
      .where(and(eq(plans.schoolId, schoolId), isNull(plans.archivedAt)))
  ).map(toPlanRecord)
}

function toPlanRecord(r: typeof plans.$inferSelect): PlanRecord {
  const { schoolId, ownerId, bookId, version, archivedAt } = r
  return { plan: toPlan(r), schoolId, ownerId, bookId, version, isArchived: archivedAt !== null }
}

/** Adds a plan. */
export async function addPlan(tx: Connection, record: Omit<PlanRecord, 'isArchived'>): Promise<void> {
  await tx.insert(plans).values({
    id: record.plan.id,
    schoolId: record.schoolId,
    ownerId: record.ownerId,
    bookId: record.bookId,
    version: record.version,
    body: fromPlan(record.plan),
  })
}

/** Replaces a plan as it stood at `record.version`; false when somebody changed it meanwhile. */
export async function savePlan(tx: Connection, { plan, version }: PlanRecord): Promise<boolean> {
  const done = await tx
    .update(plans)
    .set({ body: fromPlan(plan), version: version + 1 })
    .where(and(eq(plans.id, plan.id), eq(plans.version, version)))
  return done.rowsAffected === 1
}

/** Writes an act down as done; whatever the actor had undone can no longer be redone. */
export async function addToJournal(
  tx: Connection,
  entry: {
    readonly schoolId: SchoolId
    readonly touches: readonly string[]
    readonly actorId: UserId
    readonly at: Instant
    readonly command: JournalCommand
  },
): Promise<void> {
  await tx
    .update(journal)
    .set({ state: 'dropped' })
    .where(and(eq(journal.actorId, entry.actorId), eq(journal.state, 'undone')))
  await tx.insert(journal).values({
    ...entry,
    touches: ` ${entry.touches.join(' ')} `,
    state: 'done',
    command: fromCommand(entry.command),
  })
}

function toEntry(r: typeof journal.$inferSelect): JournalEntry {
  return { seq: r.seq, at: r.at as Instant, state: r.state, command: toCommand(r.command) }
}

/** The act that undo would take back, and the one that redo would do again. */
export async function undoable(
  tx: Connection,
  actorId: UserId,
): Promise<{ readonly undo: JournalEntry | null; readonly redo: JournalEntry | null }> {
  const [last] = await tx
    .select()
    .from(journal)
    .where(and(eq(journal.actorId, actorId), eq(journal.state, 'done')))
    .orderBy(desc(journal.seq))
    .limit(1)
  const [next] = await tx
    .select()
    .from(journal)
    .where(and(eq(journal.actorId, actorId), eq(journal.state, 'undone')))
    .orderBy(asc(journal.seq))
    .limit(1)
  return { undo: last ? toEntry(last) : null, redo: next ? toEntry(next) : null }
}

/** An act of somebody's own that is done, by its number; null: there is none. */
export async function ownActAt(tx: Connection, actorId: UserId, seq: number): Promise<JournalEntry | null> {
  const [row] = await tx
    .select()
    .from(journal)
    .where(and(eq(journal.seq, seq), eq(journal.actorId, actorId), eq(journal.state, 'done')))
  return row ? toEntry(row) : null
}

/** Marks how an act stands. */
export async function markJournal(tx: Connection, seq: number, state: JournalEntry['state']): Promise<void> {
  await tx.update(journal).set({ state }).where(eq(journal.seq, seq))
}

/** Ids may hold `_`, which `like` takes for any letter: compared as plain text instead. */
const touching = (id: string) => sql`instr(${journal.touches}, ${` ${id} `}) > 0`

/** A new plan belongs to no undo step: acts on the old one are dropped. */
export async function dropJournalOf(tx: Connection, classId: ClassId): Promise<void> {
  await tx
    .update(journal)
    .set({ state: 'dropped' })
    .where(and(touching(classId), sql`${journal.state} != 'dropped'`))
}

/**
 * The latest acts that touch any of these classes, plans or years, with who did them; newest first. Undone
 * ones are included, dropped ones are not.
 */
export async function historyOf(
  tx: Connection,
  schoolId: SchoolId,
  ids: readonly string[],
  most: number,
): Promise<readonly (JournalEntry & { readonly by: string; readonly actorId: UserId })[]> {
  if (ids.length === 0) return []
  const rows = await tx
    .select({ entry: journal, by: users.name })
    .from(journal)
    .innerJoin(users, eq(users.id, journal.actorId))
    .where(and(eq(journal.schoolId, schoolId), sql`${journal.state} != 'dropped'`, or(...ids.map(touching))))
    .orderBy(desc(journal.seq))
    .limit(most)
  return rows.map((r) => ({ ...toEntry(r.entry), by: r.by, actorId: r.entry.actorId }))
}

/** A teacher’s feed of a class, or null. */
export async function feedOf(tx: Connection, classId: ClassId, userId: UserId): Promise<Feed | null> {
  const [row] = await tx
    .select()
    .from(feeds)
    .where(and(eq(feeds.classId, classId), eq(feeds.userId, userId)))
  return row ? { ...row, createdAt: row.createdAt as Instant } : null
}

/** The feed with a token, or null. */
export async function feedByToken(tx: Connection, token: string): Promise<Feed | null> {
  const [row] = await tx.select().from(feeds).where(eq(feeds.token, token))
  return row ? { ...row, createdAt: row.createdAt as Instant } : null
}

/** Puts a feed in place of the teacher’s earlier one; null takes it away. */
export async function replaceFeed(
  tx: Connection,
  classId: ClassId,
  userId: UserId,
  feed: Feed | null,
): Promise<void> {
  await tx.delete(feeds).where(and(eq(feeds.classId, classId), eq(feeds.userId, userId)))
  if (feed) await tx.insert(feeds).values(feed)
}
