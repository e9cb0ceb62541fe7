import { and, eq, isNotNull, or, sql } from 'drizzle-orm'
import type { ClassId, GroupId, Instant, PlanId, SchoolId, UserId, YearId } from '#core/base'
import { classTeachers, classes, enrolments, years } from '../schema/calendar'
import { feeds, journal, plans } from '../schema/pacing'
import { groups, users } from '../schema/people'
import { series } from '../schema/classWork'
import { assignmentTargets, learnerWork } from '../schema/work'
import { classTrails, learnerTrails } from '../schema/versions'
import { dropJournalOf } from './planning'
import { dropFiling } from './filing'
import { dropStandingOf } from './standing'
import type { Connection } from './store'

/** Something that was made, and is no longer in use. */
export type Archivable =
  | { readonly kind: 'year'; readonly id: YearId }
  | { readonly kind: 'class'; readonly id: ClassId }
  | { readonly kind: 'plan'; readonly id: PlanId }
  | { readonly kind: 'group'; readonly id: GroupId }

/** Whether anything hangs on it: learners, work, classes, however long ago. */
export async function isInUse(tx: Connection, { kind, id }: Archivable): Promise<boolean> {
  switch (kind) {
    case 'year':
      return (await tx.$count(classes, eq(classes.yearId, id))) > 0
    case 'plan':
      return (await tx.$count(classes, eq(classes.planId, id))) > 0
    case 'group':
      return (await tx.$count(assignmentTargets, targeting('group', id))) > 0
    case 'class': {
      const learners = await tx.$count(enrolments, eq(enrolments.classId, id))
      const named = await tx.$count(assignmentTargets, targeting('class', id))
      const acts = await tx.$count(journal, sql`instr(${journal.touches}, ${` ${id} `}) > 0`)
      return learners + named + acts + (await tx.$count(learnerWork, eq(learnerWork.classId, id))) > 0
    }
  }
}

function targeting(kind: 'class' | 'group', id: string) {
  return and(eq(assignmentTargets.kind, kind), eq(assignmentTargets.refId, id))
}

/** Deletes what nothing hangs on, with all that is its own. */
export async function deleteForGood(tx: Connection, { kind, id }: Archivable): Promise<void> {
  switch (kind) {
    case 'year':
      await tx.delete(years).where(eq(years.id, id))
      return
    case 'plan':
      await dropStandingOf(tx, id)
      await tx.delete(plans).where(eq(plans.id, id))
      return
    case 'group':
      await tx.delete(groups).where(eq(groups.id, id))
      return
    case 'class':
      await dropJournalOf(tx, id)
      await tx.delete(feeds).where(eq(feeds.classId, id))
      await tx.delete(series).where(eq(series.classId, id))
      await dropFiling(tx, id)
      // a group that others share goes on in one of them
      await tx.run(sql`update groups set class_id =
        (select min(c.class_id) from group_classes c where c.group_id = groups.id and c.class_id != ${id})
        where class_id = ${id} and exists
        (select 1 from group_classes c where c.group_id = groups.id and c.class_id != ${id})`)
      await tx.run(sql`delete from group_classes where class_id = ${id} or exists
        (select 1 from groups g where g.id = group_id and g.class_id = group_classes.class_id)`)
      await tx.delete(groups).where(eq(groups.classId, id))
      await tx.delete(learnerTrails).where(eq(learnerTrails.classId, id))
      await tx.delete(classTrails).where(eq(classTrails.classId, id))
      await tx.delete(classTeachers).where(eq(classTeachers.classId, id))
      await tx.delete(classes).where(eq(classes.id, id))
  }
}

/** Takes something out of the lists, or (null) puts it back. A year takes its classes along. */
export async function setArchived(
  tx: Connection,
  { kind, id }: Archivable,
  archived: { readonly at: Instant; readonly by: UserId } | null,
): Promise<void> {
  const archivedAt = archived?.at ?? null
  switch (kind) {
    case 'year': {
      const [row] = await tx.select({ at: years.archivedAt }).from(years).where(eq(years.id, id))
      const along = row?.at ?? null
      // back come only the classes that went with it
      const same = along === null ? sql`${classes.archivedAt} is null` : eq(classes.archivedAt, along)
      await tx.update(years).set({ archivedAt }).where(eq(years.id, id))
      await tx
        .update(classes)
        .set({ archivedAt })
        .where(and(eq(classes.yearId, id), same))
      return
    }
    case 'class':
      await tx
        .update(classes)
        .set({ archivedAt, archivedBy: archived?.by ?? null })
        .where(eq(classes.id, id))
      return
    case 'plan':
      await tx.update(plans).set({ archivedAt }).where(eq(plans.id, id))
      return
    case 'group':
      await tx.update(groups).set({ archivedAt }).where(eq(groups.id, id))
  }
}

/** Something in the archive, by a name to know it again. */
export type Archived = Archivable & {
  readonly title: string
  /** Of a class; else absent. */
  readonly goneAt?: Instant | null
  /** Who took a class away, by name; null: oneself, or nobody has noted it. */
  readonly goneBy?: string | null
}

/** What somebody can bring back: their classes, groups and plans, and (with `withYears`) the school's years. */
export async function archivedFor(
  tx: Connection,
  of: { readonly schoolId: SchoolId; readonly userId: UserId; readonly withYears: boolean },
): Promise<readonly Archived[]> {
  const taught = tx
    .select({ id: classTeachers.classId })
    .from(classTeachers)
    .where(eq(classTeachers.userId, of.userId))
  const classRows = await tx
    .select({ id: classes.id, title: classes.name, at: classes.archivedAt, by: users.name, byId: users.id })
    .from(classes)
    .innerJoin(years, eq(years.id, classes.yearId))
    .leftJoin(users, eq(users.id, classes.archivedBy))
    .where(
      and(
        isNotNull(classes.archivedAt),
        or(sql`${years.archivedAt} is null`, sql`${years.archivedAt} != ${classes.archivedAt}`),
        sql`${classes.id} in ${taught}`,
      ),
    )
  const groupRows = await tx
    .select({ id: groups.id, title: sql<string>`${groups.name} || ', ' || ${classes.name}` })
    .from(groups)
    .innerJoin(classes, eq(classes.id, groups.classId))
    .where(and(isNotNull(groups.archivedAt), sql`${classes.id} in ${taught}`))
  const planRows = await tx
    .select({ id: plans.id, title: sql<string>`json_extract(${plans.body}, '$.title')` })
    .from(plans)
    .where(and(isNotNull(plans.archivedAt), eq(plans.ownerId, of.userId)))
  const yearRows = of.withYears
    ? await tx
        .select({ id: years.id, title: sql<string>`json_extract(${years.body}, '$.name')` })
        .from(years)
        .where(and(isNotNull(years.archivedAt), eq(years.schoolId, of.schoolId)))
    : []
  return [
    ...yearRows.map((r) => ({ kind: 'year' as const, ...r })),
    ...classRows.map(({ id, title, at, by, byId }) => ({
      kind: 'class' as const,
      id,
      title,
      goneAt: at as Instant | null,
      goneBy: byId === of.userId ? null : by,
    })),
    ...groupRows.map((r) => ({ kind: 'group' as const, ...r })),
    ...planRows.map((r) => ({ kind: 'plan' as const, ...r })),
  ]
}
