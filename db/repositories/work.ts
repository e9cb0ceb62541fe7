import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm'
import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, Instant, PieceId, ResourceId, SchoolId, UserId } from '#core/base'
import {
  fromAssignmentBody,
  fromLearnerWork,
  fromPiece,
  fromTarget,
  toAssignmentBody,
  toLearnerWork,
  toPiece,
  toTarget,
} from '../rows/workRows'
import type { ResourceKind } from '#core/library'
import { rulesOf } from '#core/work'
import type { Assignment, AssignmentTarget, LearnerWork } from '#core/work'
import { pieceBody } from '../rows/bodies'
import {
  assignmentExceptions,
  assignmentPieces,
  assignmentTargets,
  assignments,
  learnerWork,
} from '../schema/work'
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
  return rows.map(({ body, createdAt, publishedAt, resourceId: _, ...rest }) => ({
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
  return (await whole(tx, await tx.select().from(assignments).where(eq(assignments.id, id))))[0] ?? null
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

/** How many learners have begun each piece of an assignment; a piece that nobody has begun is absent. */
export async function begunPieces(tx: Connection, id: AssignmentId): Promise<ReadonlyMap<PieceId, number>> {
  const rows = await tx.all<{ piece: PieceId; n: number }>(
    sql`select piece_id as piece, count(distinct learner_id) as n from attempts where assignment_id = ${id}
      group by piece_id`,
  )
  return new Map(rows.map((r) => [r.piece, r.n]))
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

/** Ids of published assignments that reach learners of a class. */
export async function publishedIdsOf(tx: Connection, classId: ClassId): Promise<readonly AssignmentId[]> {
  const rows = await tx.all<{ id: AssignmentId }>(
    sql`select distinct w.assignment_id as id from learner_work w join assignments a on a.id =
      w.assignment_id and a.state = 'published' where w.class_id = ${classId}`,
  )
  return rows.map((r) => r.id)
}

function rowOf(record: Assignment): Row {
  const { window, rules, notFor, pieces, targets: _, exceptIds: __, ...rest } = record
  const [first] = pieces
  if (!first) throw new Error('assignment without a piece')
  return { ...rest, resourceId: first.resourceId, body: fromAssignmentBody({ window, rules, notFor }) }
}

/** Adds an assignment with its pieces, targets and exceptions. */
export async function addAssignment(tx: Connection, record: Assignment): Promise<void> {
  await tx.insert(assignments).values(rowOf(record))
  await addParts(tx, record)
}

/** Replaces an assignment as it stood at `record.version`; false when somebody changed it meanwhile. */
export async function saveAssignment(tx: Connection, record: Assignment): Promise<boolean> {
  const done = await tx
    .update(assignments)
    .set(rowOf({ ...record, version: record.version + 1 }))
    .where(and(eq(assignments.id, record.id), eq(assignments.version, record.version)))
  if (done.rowsAffected !== 1) return false
  await tx.delete(assignmentTargets).where(eq(assignmentTargets.assignmentId, record.id))
  await tx.delete(assignmentExceptions).where(eq(assignmentExceptions.assignmentId, record.id))
  await tx.delete(assignmentPieces).where(eq(assignmentPieces.assignmentId, record.id))
  await addParts(tx, record)
  return true
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

/** Resolved work of assignments, for every learner they reach. */
export async function learnerWorkOf(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<readonly LearnerWork[]> {
  return ids.length === 0
    ? []
    : (
        await tx
          .select()
          .from(learnerWork)
          .where(inArray(learnerWork.assignmentId, [...ids]))
      ).map(toLearnerWork)
}

/** One learner's resolved work for one piece of an assignment, only while it is published; else null. */
export async function publishedWorkFor(
  tx: Connection,
  { assignmentId, pieceId }: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId },
  learnerId: UserId,
): Promise<LearnerWork | null> {
  const [row] = await tx
    .select({ work: learnerWork })
    .from(learnerWork)
    .innerJoin(assignments, eq(assignments.id, learnerWork.assignmentId))
    .where(
      and(
        eq(learnerWork.assignmentId, assignmentId),
        eq(learnerWork.learnerId, learnerId),
        eq(learnerWork.pieceId, pieceId),
        eq(assignments.state, 'published'),
      ),
    )
  return row ? toLearnerWork(row.work) : null
}

/**
 * A learner's published work that is listed and not yet put away at `now`, piece by piece in their order, with what
 * the list shows.
 */
export async function listedWorkFor(tx: Connection, learnerId: UserId, now: Instant) {
  const rows = await tx.all<{
    assignment_id: AssignmentId
    piece_id: PieceId
    resource_id: ResourceId
    class_id: ClassId
    listed_at: number | null
    opens_at: number | null
    due_at: number | null
    closes_at: number | null
    put_away_at: number | null
    max_attempts: number | null
    time_limit_minutes: number | null
    title: string
    note: string
    body: string
    piece: string
    piece_title: string
    kind: ResourceKind
    minutes: number
    item_count: number
    class_name: string
  }>(sql`
    select w.assignment_id, w.piece_id, p.resource_id, w.class_id, w.listed_at, w.opens_at, w.due_at,
      w.closes_at, w.put_away_at, w.max_attempts, w.time_limit_minutes,
      a.title, a.note, a.body, p.body as piece, r.kind, c.name as class_name,
      coalesce(v.title, r.title) as piece_title, coalesce(v.minutes, r.minutes) as minutes,
      coalesce(v.item_count, r.item_count) as item_count
    from learner_work w
      join assignments a on a.id = w.assignment_id and a.state = 'published'
      join assignment_pieces p on p.assignment_id = w.assignment_id and p.id = w.piece_id
      join resources r on r.id = p.resource_id
      left join resource_revisions v on v.resource_id = p.resource_id and v.revision = p.revision
      join classes c on c.id = w.class_id
    where w.learner_id = ${learnerId}
      and (w.listed_at is null or w.listed_at <= ${now})
      and (w.put_away_at is null or w.put_away_at > ${now})
    order by w.assignment_id, p.position`)
  return rows.map((r) => ({
    assignmentId: r.assignment_id,
    pieceId: r.piece_id,
    resourceId: r.resource_id,
    title: r.title,
    pieceTitle: r.piece_title,
    note: r.note,
    kind: r.kind,
    minutes: r.minutes,
    itemCount: r.item_count,
    className: r.class_name,
    ...ofPiece(r),
    terms: {
      listed: r.listed_at as Instant | null,
      opens: r.opens_at as Instant | null,
      due: r.due_at as Instant | null,
      closes: r.closes_at as Instant | null,
      putAway: r.put_away_at as Instant | null,
      maxAttempts: r.max_attempts,
      timeLimitMinutes: r.time_limit_minutes,
    },
  }))
}

/** When a piece is done, its least time, and its rules. */
function ofPiece(row: { readonly body: string; readonly piece: string }) {
  const { rules } = toAssignmentBody(row.body)
  const { when, leastMinutes, rules: own } = pieceBody.read(row.piece)
  return { when, leastMinutes, rules: rulesOf({ rules }, { rules: own }) }
}

/** Replaces the resolved work of an assignment. */
export async function replaceLearnerWork(
  tx: Connection,
  assignmentId: AssignmentId,
  records: readonly LearnerWork[],
): Promise<void> {
  await tx.delete(learnerWork).where(eq(learnerWork.assignmentId, assignmentId))
  // one statement over a list: the builder takes a second for the thousands of rows of thirty pieces
  const list = JSON.stringify(records.map((r) => Object.values(fromLearnerWork(r))))
  await tx.run(sql`insert into learner_work (assignment_id, learner_id, piece_id, class_id, listed_at, opens_at,
    due_at, closes_at, put_away_at, max_attempts, time_limit_minutes, because)
    select e.value ->> 0, e.value ->> 1, e.value ->> 2, e.value ->> 3, e.value ->> 4, e.value ->> 5, e.value ->> 6,
    e.value ->> 7, e.value ->> 8, e.value ->> 9, e.value ->> 10, e.value ->> 11 from json_each(${list}) e`)
}

/** A name for a piece of an assignment, told from all others. */
export function pieceName(of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId }): string {
  return `${of.assignmentId} ${of.pieceId}`
}

/**
 * When each piece of these assignments has closed for everybody who has it, by `pieceName`; null where it never
 * does for somebody. Those that nobody has are absent.
 */
export async function closesForAll(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<ReadonlyMap<string, Instant | null>> {
  if (ids.length === 0) return new Map()
  const rows = await tx.all<{
    assignmentId: AssignmentId
    pieceId: PieceId
    last: number | null
    open: number
  }>(
    sql`select assignment_id as assignmentId, piece_id as pieceId, max(closes_at) as last,
      sum(closes_at is null) as open from learner_work where assignment_id in ${[...ids]}
      group by assignment_id, piece_id`,
  )
  return new Map(rows.map((r) => [pieceName(r), r.open > 0 ? null : (r.last as Instant | null)]))
}

/** Takes an assignment from the learners of classes. */
export async function dropLearnerWork(
  tx: Connection,
  id: AssignmentId,
  classIds: readonly ClassId[],
): Promise<void> {
  await tx
    .delete(learnerWork)
    .where(and(eq(learnerWork.assignmentId, id), inArray(learnerWork.classId, [...classIds])))
}
