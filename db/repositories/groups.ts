import { and, asc, eq, inArray, or } from 'drizzle-orm'
import type { GroupRule } from '#core/audience'
import { groupBy } from '#core/base'
import type { ClassId, GroupId, Instant, SchoolId, UserId } from '#core/base'
import { groupRuleBody } from '../rows/bodies'
import { groupClasses, groupMembers, groups } from '../schema/people'
import type { Connection } from './store'

export interface GroupRecord {
  readonly id: GroupId
  readonly schoolId: SchoolId
  readonly ownerId: UserId
  /** The class in which it was made. */
  readonly classId: ClassId
  /** Further classes whose learners may be in it. */
  readonly alsoIn: readonly ClassId[]
  readonly name: string
  readonly archivedAt: Instant | null
  /** Who is in it by how they stand; the learners are then those who were when it was last looked at. */
  readonly rule: GroupRule | null
  readonly learnerIds: readonly UserId[]
}

/** The classes in which a group stands, the one in which it was made first. */
export function classesOfGroup(group: Pick<GroupRecord, 'classId' | 'alsoIn'>): readonly ClassId[] {
  return [group.classId, ...group.alsoIn]
}

/** Groups that stand in any of these classes, with all their members. */
export async function groupsOf(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly GroupRecord[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(groups)
    .where(
      or(
        inArray(groups.classId, [...classIds]),
        inArray(
          groups.id,
          tx
            .select({ id: groupClasses.groupId })
            .from(groupClasses)
            .where(inArray(groupClasses.classId, [...classIds])),
        ),
      ),
    )
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
  const also = await alsoInOf(tx, rows)
  return rows.map((r) => ({
    ...toGroup(r, also),
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
  const also = await alsoInOf(tx, rows)
  return rows.map((r) => toGroup(r, also))
}

type AlsoIn = ReadonlyMap<GroupId, readonly { readonly classId: ClassId }[]>

async function alsoInOf(tx: Connection, of: readonly { readonly id: GroupId }[]): Promise<AlsoIn> {
  if (of.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(groupClasses)
    .where(
      inArray(
        groupClasses.groupId,
        of.map((r) => r.id),
      ),
    )
    .orderBy(asc(groupClasses.classId))
  return groupBy(rows, (r) => r.groupId)
}

function toGroup(row: typeof groups.$inferSelect, also: AlsoIn): Omit<GroupRecord, 'learnerIds'> {
  return {
    ...row,
    alsoIn: (also.get(row.id) ?? []).map((a) => a.classId),
    archivedAt: row.archivedAt as Instant | null,
    rule: row.rule === null ? null : groupRuleBody.read(row.rule),
  }
}

/** Adds a group or replaces its name, further classes and members. */
export async function saveGroup(tx: Connection, group: GroupRecord): Promise<void> {
  const { learnerIds, alsoIn, ...record } = group
  const row = { ...record, rule: record.rule === null ? null : groupRuleBody.print(record.rule) }
  await tx
    .insert(groups)
    .values(row)
    .onConflictDoUpdate({ target: groups.id, set: { name: row.name, rule: row.rule } })
  await tx.delete(groupClasses).where(eq(groupClasses.groupId, row.id))
  if (alsoIn.length > 0)
    await tx.insert(groupClasses).values(alsoIn.map((classId) => ({ groupId: row.id, classId })))
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
