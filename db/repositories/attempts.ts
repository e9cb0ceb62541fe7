import { and, asc, eq, inArray, isNull, or, sql } from 'drizzle-orm'
import { groupBy } from '#core/base'
import type { AssignmentId, AttemptId, ClassId, Instant, ItemId, UserId } from '#core/base'
import { countedRatio } from '#core/attempts'
import type { Attempt, AttemptScore, EndedBy, NamedPiece } from '#core/attempts'
import type { Answer } from '#core/library'
import type { Begun } from '#core/work'
import {
  answerToText,
  itemIdsToText,
  scoreToText,
  textToAnswer,
  textToItemIds,
  textToScore,
} from '../rows/answerRow'
import { resourceRevisions, resources } from '../schema/library'
import { answers, assignmentPieces, attempts, learnerWork } from '../schema/work'
import { ask } from './ask'
import type { Connection } from './store'

type Row = typeof attempts.$inferSelect

function toAttempt(row: Omit<Row, 'ratio'>): Attempt {
  const { score, items } = row
  return {
    id: row.id,
    assignmentId: row.assignmentId,
    learnerId: row.learnerId,
    pieceId: row.pieceId,
    revision: row.revision,
    number: row.number,
    startedAt: row.startedAt as Instant,
    deadlineAt: row.deadlineAt as Instant | null,
    submittedAt: row.submittedAt as Instant | null,
    endedBy: row.endedBy,
    score: score === null ? null : textToScore(score),
    itemIds: items === null ? null : textToItemIds(items),
    sharedFrom: row.sharedFrom,
  }
}

const TRY_BY_ID = `select id, assignment_id as assignmentId, piece_id as pieceId, learner_id as learnerId, revision,
    number, items, started_at as startedAt, deadline_at as deadlineAt, submitted_at as submittedAt,
    ended_by as endedBy, score, shared_from as sharedFrom
  from attempts where id = ?`

/** One try, or null. */
export async function attemptById(tx: Connection, id: AttemptId): Promise<Attempt | null> {
  const [row] = await ask<Row>(tx, TRY_BY_ID, [id])
  return row ? toAttempt(row) : null
}

/** A learner's tries at one piece of an assignment, first to last. */
export async function attemptsAt(
  tx: Connection,
  { assignmentId, pieceId }: NamedPiece,
  learnerId: UserId,
): Promise<readonly Attempt[]> {
  return (
    await tx
      .select()
      .from(attempts)
      .where(
        and(
          eq(attempts.assignmentId, assignmentId),
          eq(attempts.pieceId, pieceId),
          eq(attempts.learnerId, learnerId),
        ),
      )
      .orderBy(asc(attempts.number))
  ).map(toAttempt)
}

/** All tries at assignments. */
export async function attemptsOf(tx: Connection, ids: readonly AssignmentId[]): Promise<readonly Attempt[]> {
  return ids.length === 0
    ? []
    : (
        await tx
          .select()
          .from(attempts)
          .where(inArray(attempts.assignmentId, [...ids]))
          .orderBy(asc(attempts.number))
      ).map(toAttempt)
}

/** Adds a try; false when that number exists already (two requests at once). */
export async function addAttempt(tx: Connection, attempt: Attempt): Promise<boolean> {
  const { score, itemIds, ...rest } = attempt
  const done = await tx
    .insert(attempts)
    .values({
      ...rest,
      score: score === null ? null : scoreToText(score),
      ratio: score === null ? null : countedRatio(score),
      items: itemIds === null ? null : itemIdsToText(itemIds),
    })
    .onConflictDoNothing()
  return done.rowsAffected === 1
}

/** Ends a try that is in progress; false when it was ended before. */
export async function endAttempt(
  tx: Connection,
  id: AttemptId,
  end: { readonly submittedAt: Instant; readonly endedBy: EndedBy; readonly score: AttemptScore | null },
): Promise<boolean> {
  const done = await tx
    .update(attempts)
    .set({
      submittedAt: end.submittedAt,
      endedBy: end.endedBy,
      score: end.score === null ? null : scoreToText(end.score),
      ratio: end.score === null ? null : countedRatio(end.score),
    })
    .where(and(eq(attempts.id, id), isNull(attempts.submittedAt)))
  return done.rowsAffected === 1
}

/** Puts a score in the place of the one a try has. */
export async function saveScore(tx: Connection, id: AttemptId, score: AttemptScore): Promise<void> {
  await tx
    .update(attempts)
    .set({ score: scoreToText(score), ratio: countedRatio(score) })
    .where(eq(attempts.id, id))
}

/** A try with all that were handed in with it for others of a team. */
export async function attemptsSharedWith(tx: Connection, attempt: Attempt): Promise<readonly Attempt[]> {
  const first = attempt.sharedFrom ?? attempt.id
  const rows = await tx
    .select()
    .from(attempts)
    .where(or(eq(attempts.id, first), eq(attempts.sharedFrom, first)))
  return rows.map(toAttempt)
}

/** The saved answers of tries. */
export async function answersOf(
  tx: Connection,
  ids: readonly AttemptId[],
): Promise<ReadonlyMap<AttemptId, ReadonlyMap<ItemId, Answer>>> {
  const out = new Map<AttemptId, Map<ItemId, Answer>>(ids.map((id) => [id, new Map()]))
  for (let i = 0; i < ids.length; i += 500) {
    const rows = await tx
      .select()
      .from(answers)
      .where(inArray(answers.attemptId, ids.slice(i, i + 500)))
    for (const row of rows) out.get(row.attemptId)?.set(row.itemId, textToAnswer(row.value))
  }
  return out
}

/** Gives a try the answers of another one. */
export async function copyAnswers(tx: Connection, from: AttemptId, to: AttemptId): Promise<void> {
  const rows = await tx.select().from(answers).where(eq(answers.attemptId, from))
  if (rows.length > 0) await tx.insert(answers).values(rows.map((row) => ({ ...row, attemptId: to })))
}

/** Begins a try with some answers of an earlier one, to be changed from there. */
export async function goOnWith(
  tx: Connection,
  of: {
    readonly from: AttemptId
    readonly to: AttemptId
    readonly itemIds: readonly ItemId[]
    readonly at: Instant
  },
): Promise<void> {
  const isTheirs = and(eq(answers.attemptId, of.from), inArray(answers.itemId, [...of.itemIds]))
  const rows = await tx.select({ itemId: answers.itemId, value: answers.value }).from(answers).where(isTheirs)
  if (rows.length > 0)
    await tx.insert(answers).values(rows.map((row) => ({ ...row, attemptId: of.to, savedAt: of.at })))
}

/** How often each answer of a try was written, and which are given for good. */
export async function writtenIn(
  tx: Connection,
  id: AttemptId,
): Promise<{ readonly revisions: ReadonlyMap<ItemId, number>; readonly final: ReadonlySet<ItemId> }> {
  const rows = await tx
    .select({ itemId: answers.itemId, revision: answers.revision, isFinal: answers.isFinal })
    .from(answers)
    .where(eq(answers.attemptId, id))
  return {
    revisions: new Map(rows.map((r) => [r.itemId, r.revision])),
    final: new Set(rows.filter((r) => r.isFinal).map((r) => r.itemId)),
  }
}

/** Gives an answer for good; one that is not there is added. */
export async function fixAnswer(
  tx: Connection,
  of: {
    readonly attemptId: AttemptId
    readonly itemId: ItemId
    readonly answer: Answer
    readonly at: Instant
  },
): Promise<void> {
  const { attemptId, itemId, answer, at } = of
  await tx
    .insert(answers)
    .values({ attemptId, itemId, value: answerToText(answer), isFinal: true, savedAt: at })
    .onConflictDoUpdate({ target: [answers.attemptId, answers.itemId], set: { isFinal: true } })
}

/** Gives a try in progress its items anew. */
export async function setItems(tx: Connection, id: AttemptId, itemIds: readonly ItemId[]): Promise<void> {
  await tx
    .update(attempts)
    .set({ items: itemIdsToText(itemIds) })
    .where(and(eq(attempts.id, id), isNull(attempts.submittedAt)))
}

/**
 * Tries in progress whose limit or window has passed at `now`, of a learner or of assignments; what is only read is
 * not ended by time.
 */
export async function overdueAttempts(
  tx: Connection,
  of: { readonly learnerId?: UserId; readonly assignmentIds?: readonly AssignmentId[] },
  now: Instant,
  graceMs: number,
): Promise<readonly Attempt[]> {
  const scope =
    of.learnerId !== undefined
      ? eq(attempts.learnerId, of.learnerId)
      : of.assignmentIds && of.assignmentIds.length > 0
        ? inArray(attempts.assignmentId, [...of.assignmentIds])
        : sql`0`
  if (of.learnerId !== undefined && !(await hasOpenTry(tx, of.learnerId))) return []
  const rows = await tx
    .select({ attempt: attempts })
    .from(attempts)
    .innerJoin(
      learnerWork,
      and(
        eq(learnerWork.assignmentId, attempts.assignmentId),
        eq(learnerWork.learnerId, attempts.learnerId),
        eq(learnerWork.pieceId, attempts.pieceId),
      ),
    )
    .innerJoin(
      assignmentPieces,
      and(
        eq(assignmentPieces.assignmentId, attempts.assignmentId),
        eq(assignmentPieces.id, attempts.pieceId),
      ),
    )
    .innerJoin(resources, eq(resources.id, assignmentPieces.resourceId))
    .leftJoin(
      resourceRevisions,
      and(eq(resourceRevisions.resourceId, resources.id), eq(resourceRevisions.revision, attempts.revision)),
    )
    .where(
      and(
        scope,
        isNull(attempts.submittedAt),
        // by the form with which the try began
        sql`coalesce(${resourceRevisions.itemCount}, ${resources.itemCount}) > 0`,
        or(sql`${learnerWork.closesAt} <= ${now}`, sql`${attempts.deadlineAt} <= ${now - graceMs}`),
      ),
    )
  return rows.map((r) => toAttempt(r.attempt))
}

/** Most looks find nothing in progress: a short question before the long one. */
async function hasOpenTry(tx: Connection, learnerId: UserId): Promise<boolean> {
  const open = 'select 1 from attempts where learner_id = ? and submitted_at is null limit 1'
  return (await ask(tx, open, [learnerId])).length > 0
}

/** Learners who have begun each assignment; an assignment that nobody has begun is absent. */
export async function begunBy(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<ReadonlyMap<AssignmentId, ReadonlySet<UserId>>> {
  const begun = new Map<AssignmentId, Set<UserId>>()
  if (ids.length === 0) return begun
  const rows = await tx
    .selectDistinct({ assignmentId: attempts.assignmentId, learnerId: attempts.learnerId })
    .from(attempts)
    .where(inArray(attempts.assignmentId, [...ids]))
  for (const { assignmentId, learnerId } of rows) {
    const learners = begun.get(assignmentId) ?? new Set()
    begun.set(assignmentId, learners.add(learnerId))
  }
  return begun
}

/** Who has begun one assignment, of all or of some classes: how many learners in all, and at each of its pieces. */
export async function begunIn(
  tx: Connection,
  id: AssignmentId,
  classIds: readonly ClassId[] | null = null,
): Promise<Begun> {
  const inClasses =
    classIds === null
      ? undefined
      : inArray(
          attempts.learnerId,
          tx
            .select({ id: learnerWork.learnerId })
            .from(learnerWork)
            .where(and(eq(learnerWork.assignmentId, id), inArray(learnerWork.classId, [...classIds]))),
        )
  const rows = await tx
    .selectDistinct({ pieceId: attempts.pieceId, learnerId: attempts.learnerId })
    .from(attempts)
    .where(and(eq(attempts.assignmentId, id), inClasses))
  const byPiece = groupBy(rows, (r) => r.pieceId)
  return {
    learners: new Set(rows.map((r) => r.learnerId)).size,
    pieces: new Map([...byPiece].map(([pieceId, list]) => [pieceId, list.length])),
  }
}

/**
 * The latest instant anything was recorded, so that a demo clock never goes back; null in an empty database.
 */
export async function latestRecordedAt(tx: Connection): Promise<Instant | null> {
  const [row] = await tx.all<{ at: number | null }>(
    sql`select max(at) as at from (select max(saved_at) as at from answers union all select
      max(submitted_at) from attempts union all select max(started_at) from attempts union all
      select max(created_at) from assignments)`,
  )
  return (row?.at ?? null) as Instant | null
}
