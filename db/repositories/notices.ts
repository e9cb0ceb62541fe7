import { and, desc, eq, gt, inArray, isNull, lte, sql } from 'drizzle-orm'
import type { Instant, UserId } from '#core/base'
import type { Notice } from '#core/work'
import { assignments, notices } from '../schema/work'
import { users } from '../schema/people'
import type { Connection } from './store'

/** A notice as its learner reads it; `dueAt` of what is due next, as it stands now. */
export interface NoticeRecord extends Pick<Notice, 'assignmentId' | 'kind' | 'fromAt'> {
  readonly id: number
  readonly title: string
  readonly dueAt: Instant | null
  readonly isRead: boolean
}

/** A notice on its way, with whom it is for. */
export interface NoticeToMail extends Omit<NoticeRecord, 'isRead'> {
  readonly learnerId: UserId
  readonly name: string
  readonly signIn: string
}

/** Adds notices; what somebody was to be told of the same work and has not read yet gives way to what is newer. */
export async function addNotices(tx: Connection, fresh: readonly Notice[]): Promise<void> {
  for (let i = 0; i < fresh.length; i += 200) {
    const some = fresh.slice(i, i + 200)
    const [first] = some
    if (!first) return
    await tx.delete(notices).where(
      and(
        eq(notices.assignmentId, first.assignmentId),
        inArray(
          notices.learnerId,
          some.map((n) => n.learnerId),
        ),
        isNull(notices.readAt),
        isNull(notices.mailedAt),
      ),
    )
    await tx.insert(notices).values([...some])
  }
}

/** When the next thing of an assignment is due for a learner, or the last was; null: never. */
const dueAt = sql<
  number | null
>`(select coalesce(min(case when w.due_at > ${notices.fromAt} then w.due_at end),
  max(w.due_at)) from learner_work w
  where w.assignment_id = ${notices.assignmentId} and w.learner_id = ${notices.learnerId})`
/** The work's name; who has another task in its place knows it by that task's. */
const title = sql<string>`coalesce((select min(r.title) from learner_work w
    left join resources r on r.id = w.version ->> '$.instead.resourceId'
  where w.assignment_id = ${notices.assignmentId} and w.learner_id = ${notices.learnerId}
  having count(*) = 1), ${assignments.title})`
/** Told of is only what somebody has; that it was taken back, when they have it no longer. */
function isTrue(now: Instant) {
  const stands = sql`(${assignments.state} = 'published' and exists (select 1 from learner_work w
    where w.assignment_id = ${notices.assignmentId} and w.learner_id = ${notices.learnerId}
    and (w.listed_at is null or w.listed_at <= ${now})))`
  return sql`(${notices.kind} = 'taken-back') <> ${stands}`
}

const ofNotice = {
  id: notices.id,
  assignmentId: notices.assignmentId,
  kind: notices.kind,
  fromAt: notices.fromAt,
  title,
  dueAt,
}

/** What a learner is told, the newest first, not older than `since`. */
export async function noticesFor(
  tx: Connection,
  learnerId: UserId,
  of: { readonly now: Instant; readonly since: Instant; readonly most: number },
): Promise<readonly NoticeRecord[]> {
  const rows = await tx
    .select({ ...ofNotice, readAt: notices.readAt })
    .from(notices)
    .innerJoin(assignments, eq(assignments.id, notices.assignmentId))
    .where(
      and(
        eq(notices.learnerId, learnerId),
        lte(notices.fromAt, of.now),
        gt(notices.fromAt, of.since),
        isTrue(of.now),
      ),
    )
    .orderBy(desc(notices.fromAt), desc(notices.id))
    .limit(of.most)
  return rows.map(({ readAt, ...row }) => ({
    ...row,
    fromAt: row.fromAt as Instant,
    dueAt: row.dueAt as Instant | null,
    isRead: readAt !== null,
  }))
}

/** Marks all that a learner could know of by then as read. */
export async function markNoticesRead(tx: Connection, learnerId: UserId, now: Instant): Promise<void> {
  await tx
    .update(notices)
    .set({ readAt: now })
    .where(and(eq(notices.learnerId, learnerId), isNull(notices.readAt), lte(notices.fromAt, now)))
}

/** Notices that have become known and were not mailed; they count as mailed from now on. */
export async function takeNoticesToMail(
  tx: Connection,
  now: Instant,
  most: number,
): Promise<readonly NoticeToMail[]> {
  const rows = await tx
    .select({ ...ofNotice, learnerId: notices.learnerId, name: users.name, signIn: users.signIn })
    .from(notices)
    .innerJoin(assignments, eq(assignments.id, notices.assignmentId))
    .innerJoin(users, eq(users.id, notices.learnerId))
    .where(and(isNull(notices.mailedAt), lte(notices.fromAt, now), isTrue(now)))
    .orderBy(notices.id)
    .limit(most)
  await tx
    .update(notices)
    .set({ mailedAt: now })
    .where(
      and(isNull(notices.mailedAt), lte(notices.fromAt, now), lte(notices.id, rows.at(-1)?.id ?? MOST_ID)),
    )
  return rows.map((row) => ({
    ...row,
    fromAt: row.fromAt as Instant,
    dueAt: row.dueAt as Instant | null,
  }))
}

/** Where nothing is to be mailed, all that has become known is done with. */
const MOST_ID = Number.MAX_SAFE_INTEGER

/** Whether anything waits to be mailed. */
export async function isMailWaiting(tx: Connection, now: Instant): Promise<boolean> {
  const [row] = await tx
    .select({ id: notices.id })
    .from(notices)
    .where(and(isNull(notices.mailedAt), lte(notices.fromAt, now)))
    .limit(1)
  return row !== undefined
}

/** Forgets what is older. */
export async function forgetNotices(tx: Connection, before: Instant): Promise<void> {
  await tx.delete(notices).where(lte(notices.fromAt, before))
}
