import { kindsThat } from '#core/library'
import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm'
import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, Instant, ResourceId, SchoolId, UserId } from '#core/base'
import {
  fromAssignmentBody,
  fromPiece,
  fromTarget,
  toAssignmentBody,
  toPiece,
  toTarget,
} from '../rows/workRows'
import type { Assignment, AssignmentTarget } from '#core/work'
import { assignmentExceptions, assignmentPieces, assignmentTargets, assignments } from '../schema/work'
import { ask } from './ask'
import { keptBy } from './keptReads'
import type { Connection } from './store'

type Row = typeof assignments.$inferSelect

/** Rows with all that belongs to them. */
async function whole(tx: Connection, rows: readonly Row[]): Promise<Assignment[]> {
  if (rows.length === 0) return []
  const ids = rows.map((r) => r.id)
  const targets = await tx
    .select()
    .from(assignmentTargets)
    .where(inArray(assignmentTargets.assignmentId, ids))
    .orderBy(asc(assignmentTargets.position))
  const exceptions = await tx
    .select()
    .from(assignmentExceptions)
    .where(inArray(assignmentExceptions.assignmentId, ids))
  const pieces = await tx
    .select()
    .from(assignmentPieces)
    .where(inArray(assignmentPieces.assignmentId, ids))
    .orderBy(asc(assignmentPieces.position))
  const piecesOf = groupBy(pieces, (p) => p.assignmentId)
  const targetsOf = new Map<AssignmentId, AssignmentTarget[]>()
  for (const t of targets)
    targetsOf.set(t.assignmentId, [...(targetsOf.get(t.assignmentId) ?? []), toTarget(t)])
  return rows.map(({ body, createdAt, publishedAt, resourceId: _, settled: __, ...rest }) => ({
    ...rest,
    ...toAssignmentBody(body),
    pieces: (piecesOf.get(rest.id) ?? []).map(toPiece),
    createdAt: createdAt as Instant,
    publishedAt: publishedAt as Instant | null,
    targets: targetsOf.get(rest.id) ?? [],
    exceptIds: exceptions.filter((e) => e.assignmentId === rest.id).map((e) => e.learnerId),
  }))
}

/** One assignment with targets, or null. */
export async function assignmentById(tx: Connection, id: AssignmentId): Promise<Assignment | null> {
  if (keptBy(tx) === null) return (await assignmentsById(tx, [id]))[0] ?? null
  const [row] = await ask<VersionOf>(tx, 'select id, version from assignments where id = ?', [id])
  return row ? ((await assignmentsAt(tx, [row])).get(id) ?? null) : null
}

interface VersionOf {
  readonly id: AssignmentId
  readonly version: number
}

/** Assignments in the versions that were read with the same look; what is kept of them is not read again. */
export async function assignmentsAt(
  tx: Connection,
  versions: readonly VersionOf[],
): Promise<ReadonlyMap<AssignmentId, Assignment>> {
  const kept = keptBy(tx)?.assignments
  const out = new Map<AssignmentId, Assignment>()
  for (const { id, version } of versions) {
    const known = kept?.get(id)
    if (known?.version === version) out.set(id, known)
  }
  const missing = versions.filter(({ id }) => !out.has(id)).map((v) => v.id)
  for (const found of await assignmentsById(tx, missing)) {
    kept?.keep(found.id, found)
    out.set(found.id, found)
  }
  return out
}

/** Assignments by id. */
export async function assignmentsById(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<readonly Assignment[]> {
  return ids.length === 0
    ? []
    : whole(
        tx,
        await tx
          .select()
          .from(assignments)
          .where(inArray(assignments.id, [...new Set(ids)])),
      )
}

/** Assignments a teacher wrote or that reach one of the classes, newest first. */
export async function assignmentsFor(
  tx: Connection,
  schoolId: SchoolId,
  authorId: UserId,
  classIds: readonly ClassId[],
): Promise<readonly Assignment[]> {
  const reaching =
    classIds.length === 0
      ? sql`0`
      : sql`(${assignments.authorId} = ${authorId} or ${assignments.id} in (select assignment_id from
        assignment_targets where kind = 'class' and ref_id in ${[...classIds]}) or ${assignments.id}
        in (select assignment_id from learner_work where class_id in ${[...classIds]})
        or ${assignments.id} in (select t.assignment_id from assignment_targets t join groups g on
        g.id = t.ref_id where t.kind = 'group' and g.class_id in ${[...classIds]}))`
  const rows = await tx
    .select()
    .from(assignments)
    .where(
      and(
        eq(assignments.schoolId, schoolId),
        classIds.length === 0 ? eq(assignments.authorId, authorId) : reaching,
      ),
    )
    .orderBy(desc(assignments.createdAt), asc(assignments.id))
  return whole(tx, rows)
}

/** Ids of assignments that reach learners of these classes or name the classes. */
export async function assignmentIdsTouching(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly AssignmentId[]> {
  if (classIds.length === 0) return []
  const rows = await tx.all<{ id: AssignmentId }>(
    sql`select distinct assignment_id as id from learner_work where class_id in ${[...classIds]} union
      select assignment_id from assignment_targets where kind = 'class' and ref_id in
      ${[...classIds]}`,
  )
  return rows.map((r) => r.id)
}

/** Ids of assignments that go to these classes: to all of one, to a group of it, or to single learners of it. */
export async function assignmentIdsNear(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly AssignmentId[]> {
  if (classIds.length === 0) return []
  const rows = await tx.all<{ id: AssignmentId }>(
    sql`select distinct assignment_id as id from learner_work where class_id in ${[...classIds]} union
      select assignment_id from assignment_targets where kind = 'class' and ref_id in ${[...classIds]} union
      select t.assignment_id from assignment_targets t join groups g on t.kind = 'group' and t.ref_id = g.id
      where g.class_id in ${[...classIds]} union
      select t.assignment_id from assignment_targets t join group_classes c on t.kind = 'group'
      and t.ref_id = c.group_id where c.class_id in ${[...classIds]} union
      select t.assignment_id from assignment_targets t join enrolments e on t.kind = 'learner'
      and t.ref_id = e.learner_id and e.left_at is null where e.class_id in ${[...classIds]}`,
  )
  return rows.map((r) => r.id)
}

/** Ids of assignments that give a piece out, in any form. */
export async function assignmentIdsGiving(
  tx: Connection,
  resourceId: ResourceId,
): Promise<readonly AssignmentId[]> {
  const rows = await tx.all<{ id: AssignmentId }>(
    sql`select distinct assignment_id as id from assignment_pieces where resource_id = ${resourceId}`,
  )
  return rows.map((r) => r.id)
}

function rowOf(record: Assignment): Omit<Row, 'settled'> {
  const { id, schoolId, authorId, title, note, state, version, createdAt, publishedAt, pieces } = record
  const [first] = pieces
  if (!first) throw new Error('assignment without a piece')
  const columns = { id, schoolId, authorId, title, note, state, version, createdAt, publishedAt }
  return { ...columns, resourceId: first.resourceId, body: fromAssignmentBody(record) }
}

/** Adds an assignment with its pieces, targets and exceptions. */
export async function addAssignment(tx: Connection, record: Assignment): Promise<void> {
  await tx.insert(assignments).values(rowOf(record))
  await addParts(tx, record)
}

/**
 * Replaces an assignment as it stood at `record.version`. A version that is not there any more is a defect: whoever
 * saves has loaded it in the same transaction, and said no to a version that somebody saw before.
 */
export async function saveAssignment(tx: Connection, record: Assignment): Promise<void> {
  const done = await tx
    .update(assignments)
    .set(rowOf({ ...record, version: record.version + 1 }))
    .where(and(eq(assignments.id, record.id), eq(assignments.version, record.version)))
  if (done.rowsAffected !== 1) throw new Error('an assignment changed inside its own transaction')
  await tx.delete(assignmentTargets).where(eq(assignmentTargets.assignmentId, record.id))
  await tx.delete(assignmentExceptions).where(eq(assignmentExceptions.assignmentId, record.id))
  await tx.delete(assignmentPieces).where(eq(assignmentPieces.assignmentId, record.id))
  await addParts(tx, record)
}

async function addParts(tx: Connection, record: Assignment): Promise<void> {
  await tx
    .insert(assignmentPieces)
    .values(record.pieces.map((p, position) => ({ assignmentId: record.id, position, ...fromPiece(p) })))
  if (record.targets.length > 0)
    await tx
      .insert(assignmentTargets)
      .values(record.targets.map((t, position) => ({ assignmentId: record.id, position, ...fromTarget(t) })))
  if (record.exceptIds.length > 0)
    await tx
      .insert(assignmentExceptions)
      .values(record.exceptIds.map((learnerId) => ({ assignmentId: record.id, learnerId })))
}

/** A piece that a class was given, with the title of the work. */
export interface GivenBefore {
  readonly classId: ClassId
  readonly resourceId: ResourceId
  readonly title: string
}

/** Which of these pieces the classes were given in other work that is not withdrawn. */
export async function givenBefore(
  tx: Connection,
  resourceIds: readonly ResourceId[],
  classIds: readonly ClassId[],
  but: AssignmentId | null,
): Promise<readonly GivenBefore[]> {
  if (resourceIds.length === 0 || classIds.length === 0) return []
  return tx.all<GivenBefore>(sql`
    select distinct t.ref_id as classId, p.resource_id as resourceId, a.title from assignment_pieces p
      join assignments a on a.id = p.assignment_id and a.state != 'withdrawn'
      join assignment_targets t on t.assignment_id = a.id and t.kind = 'class'
    where p.resource_id in ${[...resourceIds]} and t.ref_id in ${[...classIds]} and a.id is not ${but}
      and not exists (select 1 from json_each(a.body, '$.notFor') n where n.value = t.ref_id)`)
}

/** Pieces that somebody gave last, the latest first, each once. */
export async function lastGivenBy(
  tx: Connection,
  authorId: UserId,
  most: number,
): Promise<readonly ResourceId[]> {
  const rows = await tx.all<{ id: ResourceId }>(sql`
    select p.resource_id as id, max(coalesce(a.published_at, a.created_at)) as at from assignment_pieces p
      join assignments a on a.id = p.assignment_id and a.state != 'withdrawn'
    where a.author_id = ${authorId} group by p.resource_id order by at desc, id limit ${most}`)
  return rows.map((r) => r.id)
}

/** Kinds that count as a test. */
const TESTS = kindsThat((card) => card.measures === 'test')

/** What assignments hold, in short: minutes of all their pieces, and whether one of these is a test. */
export async function gistOf(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<ReadonlyMap<AssignmentId, { readonly minutes: number; readonly isTest: boolean }>> {
  if (ids.length === 0) return new Map()
  const rows = await tx.all<{ id: AssignmentId; minutes: number; tests: number }>(
    sql`select p.assignment_id as id, sum(coalesce(v.minutes, r.minutes)) as minutes,
      sum(r.kind in ${TESTS}) as tests from assignment_pieces p join resources r on r.id = p.resource_id
      left join resource_revisions v on v.resource_id = p.resource_id and v.revision = p.revision
      where p.assignment_id in ${[...ids]} group by p.assignment_id`,
  )
  return new Map(rows.map((r) => [r.id, { minutes: r.minutes, isTest: r.tests > 0 }]))
}
