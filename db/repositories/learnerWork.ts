import { and, eq, inArray, sql } from 'drizzle-orm'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import type { AssignmentId, ClassId, Instant, PieceId, ResourceId, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import { rulesOf } from '#core/work'
import type { LearnerWork } from '#core/work'
import { pieceBody } from '../rows/bodies'
import { fromLearnerWork, toAssignmentBody, toLearnerWork } from '../rows/workRows'
import { assignments, learnerWork } from '../schema/work'
import type { Connection } from './store'

/** Ids of published assignments that reach learners of a class. */
export async function publishedIdsOf(tx: Connection, classId: ClassId): Promise<readonly AssignmentId[]> {
  const rows = await tx.all<{ id: AssignmentId }>(
    sql`select distinct w.assignment_id as id from learner_work w join assignments a on a.id =
      w.assignment_id and a.state = 'published' where w.class_id = ${classId}`,
  )
  return rows.map((r) => r.id)
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

/** One learner's resolved work in classes, whatever its state. */
export async function learnerWorkIn(
  tx: Connection,
  learnerId: UserId,
  classIds: readonly ClassId[],
): Promise<readonly LearnerWork[]> {
  return (
    await tx
      .select()
      .from(learnerWork)
      .where(and(eq(learnerWork.learnerId, learnerId), inArray(learnerWork.classId, [...classIds])))
  ).map(toLearnerWork)
}

/** One learner's resolved work for one piece of an assignment, only while it is published; else null. */
export async function publishedWorkFor(
  tx: Connection,
  { assignmentId, pieceId }: NamedPiece,
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
    published_at: number | null
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
      a.title, a.note, a.published_at, a.body, p.body as piece, r.kind, c.name as class_name,
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
    publishedAt: r.published_at as Instant | null,
    kind: r.kind,
    minutes: r.minutes,
    itemCount: r.item_count,
    classId: r.class_id,
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

/** When a piece is done, its least time and its rules, and what is said of the whole of it. */
function ofPiece(row: { readonly body: string; readonly piece: string }) {
  const { rules, about, isFirst, inTurn } = toAssignmentBody(row.body)
  const { when, leastMinutes, rules: own } = pieceBody.read(row.piece)
  return { when, leastMinutes, rules: rulesOf({ rules }, { rules: own }), about, isFirst, inTurn }
}

/** Replaces the resolved work of an assignment. */
export async function replaceLearnerWork(
  tx: Connection,
  assignmentId: AssignmentId,
  records: readonly LearnerWork[],
): Promise<void> {
  await tx.delete(learnerWork).where(eq(learnerWork.assignmentId, assignmentId))
  // one statement over a list: the builder takes a second for the thousands of rows of thirty pieces
  const list = JSON.stringify(records.map(fromLearnerWork))
  await tx.run(sql`insert into learner_work (assignment_id, learner_id, piece_id, class_id, listed_at, opens_at,
      due_at, closes_at, put_away_at, max_attempts, time_limit_minutes, because)
    select value ->> 'assignmentId', value ->> 'learnerId', value ->> 'pieceId', value ->> 'classId',
      value ->> 'listedAt', value ->> 'opensAt', value ->> 'dueAt', value ->> 'closesAt', value ->> 'putAwayAt',
      value ->> 'maxAttempts', value ->> 'timeLimitMinutes', value ->> 'because' from json_each(${list})`)
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

/** Minutes of work that learners of classes have to hand in within a time and have not; who has none is absent. */
export async function minutesDue(
  tx: Connection,
  classIds: readonly ClassId[],
  within: { readonly from: Instant; readonly until: Instant },
): Promise<ReadonlyMap<UserId, number>> {
  if (classIds.length === 0) return new Map()
  const rows = await tx.all<{ learnerId: UserId; minutes: number }>(
    sql`select w.learner_id as learnerId, sum(coalesce(v.minutes, r.minutes)) as minutes
      from learner_work w
        join assignments a on a.id = w.assignment_id and a.state = 'published'
        join assignment_pieces p on p.assignment_id = w.assignment_id and p.id = w.piece_id
        join resources r on r.id = p.resource_id
        left join resource_revisions v on v.resource_id = p.resource_id and v.revision = p.revision
      where w.due_at > ${within.from} and w.due_at <= ${within.until}
        and w.learner_id in (select e.learner_id from enrolments e where e.left_at is null
          and e.class_id in ${[...classIds]})
        and not exists (select 1 from attempts t where t.assignment_id = w.assignment_id
          and t.learner_id = w.learner_id and t.piece_id = w.piece_id and t.submitted_at is not null)
      group by w.learner_id`,
  )
  return new Map(rows.map((r) => [r.learnerId, r.minutes]))
}
