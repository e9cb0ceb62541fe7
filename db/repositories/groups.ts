import { and, asc, eq, inArray } from 'drizzle-orm'
import type { GroupRule } from '#core/audience'
import type { ClassId, GroupId, Instant, SchoolId, UserId } from '#core/base'
import { groupRuleBody } from '../rows/bodies'
import { groupMembers, groups } from '../schema/people'
import type { Connection } from './store'

export interface GroupRecord {
  readonly id: GroupId
  readonly schoolId: SchoolId
  readonly ownerId: UserId
  readonly classId: ClassId
  readonly name: string
  readonly archivedAt: Instant | null
  /** Who is in it by how they stand; the learners are then those who were when it was last looked at. */
  readonly rule: GroupRule | null
  readonly learnerIds: readonly UserId[]
}

/** Groups of classes with their members. */
export async function groupsOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly GroupRecord[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(groups)
    .where(inArray(groups.classId, [...classIds]))
    .orderBy(asc(groups.name))
  const members =
    rows.length === 0
      ? []
      : await tx
          .select()
          .from(groupMembers)
          .where(
            inArray(
              groupMembers.groupId,
              rows.map((r) => r.id),
            ),
          )
  return rows.map((r) => ({
    ...toGroup(r),
    learnerIds: members.filter((m) => m.groupId === r.id).map((m) => m.learnerId),
  }))
}

/** Groups without their members. */
export async function groupsById(
  tx: Connection,
  ids: readonly GroupId[],
): Promise<readonly Omit<GroupRecord, 'learnerIds'>[]> {
  if (ids.length === 0) return []
  const rows = await tx
    .select()
    .from(groups)
    .where(inArray(groups.id, [...ids]))
  return rows.map(toGroup)
}

function toGroup(row: typeof groups.$inferSelect): Omit<GroupRecord, 'learnerIds'> {
  return {
    ...row,
    archivedAt: row.archivedAt as Instant | null,
    rule: row.rule === null ? null : groupRuleBody.read(row.rule),
  }
}

/** Adds a group or replaces its name and members. */
export async function saveGroup(tx: Connection, group: GroupRecord): Promise<void> {
  const { learnerIds, ...record } = group
  const row = { ...record, rule: record.rule === null ? null : groupRuleBody.print(record.rule) }
  await tx
    .insert(groups)
    .values(row)
    .onConflictDoUpdate({ target: groups.id, set: { name: row.name, rule: row.rule } })
  await tx.delete(groupMembers).where(eq(groupMembers.groupId, row.id))
  if (learnerIds.length > 0)
    await tx.insert(groupMembers).values(learnerIds.map((learnerId) => ({ groupId: row.id, learnerId })))
}

/** Puts one learner into a group, or takes them out; twice is the same as once. */
export async function setMember(
  tx: Connection,
  groupId: GroupId,
  learnerId: UserId,
  isIn: boolean,
): Promise<void> {
  if (isIn) await tx.insert(groupMembers).values({ groupId, learnerId }).onConflictDoNothing()
  else
    await tx
      .delete(groupMembers)
      .where(and(eq(groupMembers.groupId, groupId), eq(groupMembers.learnerId, learnerId)))
}
