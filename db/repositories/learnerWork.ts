import { and, eq, inArray, sql } from 'drizzle-orm'
import { pieceName } from '#core/attempts'
import type { NamedPiece } from '#core/attempts'
import { groupBy } from '#core/base'
import type { AssignmentId, ClassId, Instant, UserId } from '#core/base'
import type { LearnerTerms } from '#core/availability'
import type { GivenVersion } from '#core/versions'
import type { LearnerWork } from '#core/work'
import { fromLearnerWork, toGivenVersion, toLearnerWork, toOwnRules } from '../rows/workRows'
import { workQueue } from '../schema/classWork'
import { assignments, learnerWork } from '../schema/work'
import { ask } from './ask'
import { keptBy } from './keptReads'
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

/** What one has for one piece, without the reasons. */
export type OwnTerms = Omit<LearnerWork, 'because'>

/** One learner's resolved work for one piece of an assignment, only while it is published; else null. */
export async function publishedWorkFor(
  tx: Connection,
  { assignmentId, pieceId }: NamedPiece,
  learnerId: UserId,
): Promise<OwnTerms | null> {
  const [row] = await ask<TermsRow>(tx, PUBLISHED_FOR, [assignmentId, learnerId, pieceId])
  if (!row) return null
  const { classId } = row
  const own = { rules: toOwnRules(row.rules), version: toGivenVersion(row.version) }
  return { learnerId, assignmentId, pieceId, classId, terms: termsIn(row), ...own }
}

/** In which class a learner has a piece; null: they have it in none. */
export async function classHaving(
  tx: Connection,
  { assignmentId, pieceId, learnerId }: NamedPiece & { readonly learnerId: UserId },
): Promise<ClassId | null> {
  const [row] = await ask<{ readonly classId: ClassId }>(tx, CLASS_HAVING, [assignmentId, learnerId, pieceId])
  return row?.classId ?? null
}
const CLASS_HAVING = `select class_id as classId from learner_work
  where assignment_id = ? and learner_id = ? and piece_id = ?`

/** What of a piece's versions a learner was given; null: none, or the piece has none. */
export async function versionGiven(
  tx: Connection,
  { assignmentId, pieceId, learnerId }: NamedPiece & { readonly learnerId: UserId },
): Promise<GivenVersion | null> {
  const [row] = await ask<{ readonly version: string | null }>(tx, VERSION_GIVEN, [
    assignmentId,
    learnerId,
    pieceId,
  ])
  return toGivenVersion(row?.version ?? null)
}
const VERSION_GIVEN = `select version from learner_work
  where assignment_id = ? and learner_id = ? and piece_id = ?`

interface TermsRow {
  readonly classId: ClassId
  readonly listed: Instant | null
  readonly opens: Instant | null
  readonly due: Instant | null
  readonly closes: Instant | null
  readonly putAway: Instant | null
  readonly maxAttempts: number | null
  readonly timeLimitMinutes: number | null
  readonly rules: string | null
  readonly version: string | null
}
const TERMS = `w.class_id as classId, w.listed_at as listed, w.opens_at as opens, w.due_at as due,
  w.closes_at as closes, w.put_away_at as putAway, w.max_attempts as maxAttempts,
  w.time_limit_minutes as timeLimitMinutes, w.rules, w.version`
const PUBLISHED_FOR = `select ${TERMS} from learner_work w
  join assignments a on a.id = w.assignment_id and a.state = 'published'
  where w.assignment_id = ? and w.learner_id = ? and w.piece_id = ?`

function termsIn(row: TermsRow): LearnerTerms {
  const { listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes } = row
  return { listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes }
}

/** Replaces the resolved work of an assignment. */
export async function replaceLearnerWork(
  tx: Connection,
  assignmentId: AssignmentId,
  records: readonly LearnerWork[],
): Promise<void> {
  await countSettled(tx, assignmentId)
  await tx.delete(learnerWork).where(eq(learnerWork.assignmentId, assignmentId))
  // one statement over a list: the builder takes a second for the thousands of rows of thirty pieces
  const list = JSON.stringify(records.map(fromLearnerWork))
  await tx.run(sql`insert into learner_work (assignment_id, learner_id, piece_id, class_id, listed_at, opens_at,
      due_at, closes_at, put_away_at, max_attempts, time_limit_minutes, rules, version, because)
    select value ->> 'assignmentId', value ->> 'learnerId', value ->> 'pieceId', value ->> 'classId',
      value ->> 'listedAt', value ->> 'opensAt', value ->> 'dueAt', value ->> 'closesAt', value ->> 'putAwayAt',
      value ->> 'maxAttempts', value ->> 'timeLimitMinutes', value ->> 'rules', value ->> 'version',
      value ->> 'because'
      from json_each(${list})`)
}

/** Assignments, and how often what their learners have was written. */
export interface SettledWork {
  readonly assignmentId: AssignmentId
  readonly settled: number
}

/**
 * When each piece of these assignments has closed for everybody who has it, by `pieceName`; null where it never
 * does for somebody. Those that nobody has are absent.
 */
export async function closesForAll(
  tx: Connection,
  of: readonly SettledWork[],
): Promise<ReadonlyMap<string, Instant | null>> {
  const kept = keptBy(tx)?.closings
  const out = new Map<string, Instant | null>()
  const missing = new Map<AssignmentId, number>()
  for (const { assignmentId, settled } of of) {
    const known = kept?.get(assignmentId)
    if (known?.settled === settled) known.closings.forEach((at, name) => out.set(name, at))
    else missing.set(assignmentId, settled)
  }
  if (missing.size === 0) return out
  const rows = await ask<ClosingRow>(tx, CLOSES_FOR_ALL, [JSON.stringify([...missing.keys()])])
  for (const [assignmentId, own] of groupBy(rows, (r) => r.assignmentId)) {
    const closings = new Map(own.map((r) => [pieceName(r), r.open > 0 ? null : r.last]))
    kept?.keep(assignmentId, { settled: missing.get(assignmentId) ?? 0, closings })
    closings.forEach((at, name) => out.set(name, at))
  }
  return out
}

interface ClosingRow extends NamedPiece {
  readonly last: Instant | null
  readonly open: number
}
const CLOSES_FOR_ALL = `select assignment_id as assignmentId, piece_id as pieceId, max(closes_at) as last,
    sum(closes_at is null) as open
  from learner_work where assignment_id in (select value from json_each(?)) group by assignment_id, piece_id`

async function countSettled(tx: Connection, id: AssignmentId): Promise<void> {
  await tx
    .update(assignments)
    .set({ settled: sql`settled + 1` })
    .where(eq(assignments.id, id))
}

/** Takes an assignment from the learners of classes, and from those of them who wait for it. */
export async function dropLearnerWork(
  tx: Connection,
  id: AssignmentId,
  classIds: readonly ClassId[],
): Promise<void> {
  await countSettled(tx, id)
  await tx
    .delete(learnerWork)
    .where(and(eq(learnerWork.assignmentId, id), inArray(learnerWork.classId, [...classIds])))
  await tx
    .delete(workQueue)
    .where(and(eq(workQueue.assignmentId, id), inArray(workQueue.classId, [...classIds])))
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
