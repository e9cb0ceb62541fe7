import { sql } from 'drizzle-orm'
import type { AssignmentId, ClassId, Instant, PieceId, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import type { Connection } from './store'

/** How many learners of a class are late with some work that still takes them. */
export interface LateIn {
  readonly classId: ClassId
  readonly assignmentId: AssignmentId
  readonly title: string
  readonly learners: number
}

/** Work that is past its due date, still open, and not handed in by some, but for what is only recommended. */
export async function lateIn(
  tx: Connection,
  classIds: readonly ClassId[],
  now: Instant,
): Promise<readonly LateIn[]> {
  if (classIds.length === 0) return []
  return tx.all<LateIn>(sql`
    select w.class_id as classId, w.assignment_id as assignmentId, a.title, count(distinct w.learner_id) as learners
    from learner_work w join assignments a on a.id = w.assignment_id and a.state = 'published'
    where w.class_id in ${[...classIds]} and w.due_at <= ${now} and w.closes_at > ${now}
      and not coalesce(a.body ->> '$.about.isRecommended', 0)
      and not exists (select 1 from attempts t where t.assignment_id = w.assignment_id
        and t.learner_id = w.learner_id and t.piece_id = w.piece_id and t.submitted_at is not null)
      and not exists (select 1 from assignment_exceptions x where x.assignment_id = w.assignment_id
        and x.learner_id = w.learner_id)
    group by w.class_id, w.assignment_id order by learners desc, w.assignment_id`)
}

/** A learner with what they did last. */
export interface LatelyAt {
  readonly learnerId: UserId
  readonly name: string
  readonly className: string
  readonly assignmentId: AssignmentId
  readonly title: string
  /** Null: they are at it. */
  readonly submittedAt: Instant | null
}

/** Learners of classes by the latest thing they began, each once. */
export async function latelyAtWork(
  tx: Connection,
  classIds: readonly ClassId[],
  most: number,
): Promise<readonly LatelyAt[]> {
  if (classIds.length === 0) return []
  return tx.all<LatelyAt>(sql`
    select learnerId, name, className, assignmentId, title, submittedAt from (
      select t.learner_id as learnerId, u.name, c.short_name as className, t.assignment_id as assignmentId, a.title,
        t.submitted_at as submittedAt, t.started_at as startedAt,
        row_number() over (partition by t.learner_id order by t.started_at desc) as nth
      from attempts t join learner_work w on w.assignment_id = t.assignment_id and w.learner_id = t.learner_id
          and w.piece_id = t.piece_id
        join assignments a on a.id = t.assignment_id join users u on u.id = t.learner_id
        join classes c on c.id = w.class_id
      where w.class_id in ${[...classIds]})
    where nth = 1 order by startedAt desc, name limit ${most}`)
}

/** How many texts of a class wait to be scored, or for their scores to be released, of one piece. */
export interface WaitingIn {
  readonly classId: ClassId
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly title: string
  /** To be scored yet. */
  readonly texts: number
  /** Scored, and not shown to their learners yet. */
  readonly scored: number
}

/** Tries that were handed in and of which a person has yet to score something; each team once. */
export async function waitingIn(tx: Connection, classIds: readonly ClassId[]): Promise<readonly WaitingIn[]> {
  if (classIds.length === 0) return []
  // a text is scored once each of its answers that waits has a draft with a level for every criterion
  return tx.all<WaitingIn>(sql`
    select classId, assignmentId, pieceId, title, sum(not isScored) as texts, sum(isScored) as scored from (
      select w.class_id as classId, t.assignment_id as assignmentId, t.piece_id as pieceId, a.title,
        (select count(*) from json_each(t.score, '$.items') i where i.value ->> 'waits') <=
        (select count(*) from score_drafts d where d.attempt_id = t.id and not exists (
          select 1 from json_each(d.body, '$.levels') l where l.value is null)) as isScored
      from attempts t join learner_work w on w.assignment_id = t.assignment_id and w.learner_id = t.learner_id
          and w.piece_id = t.piece_id
        join assignments a on a.id = t.assignment_id and a.state = 'published'
      where w.class_id in ${[...classIds]} and t.submitted_at is not null and t.shared_from is null
        and json_extract(t.score, '$.waiting') > 0)
    group by classId, assignmentId, pieceId order by texts desc, scored desc, assignmentId`)
}

/** The kinds of all pieces of assignments, in their order. */
export async function kindsOf(
  tx: Connection,
  ids: readonly AssignmentId[],
): Promise<ReadonlyMap<AssignmentId, readonly ResourceKind[]>> {
  const out = new Map<AssignmentId, ResourceKind[]>()
  if (ids.length === 0) return out
  const rows = await tx.all<{ id: AssignmentId; kind: ResourceKind }>(
    sql`select p.assignment_id as id, r.kind from assignment_pieces p join resources r on r.id = p.resource_id
      where p.assignment_id in ${[...ids]} order by p.assignment_id, p.position`,
  )
  for (const { id, kind } of rows) out.set(id, [...(out.get(id) ?? []), kind])
  return out
}
