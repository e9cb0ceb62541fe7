import { sql } from 'drizzle-orm'
import type { AssignmentId, Instant, PieceId, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import type { Connection } from './store'

/** A piece that learners of a class have to do in the same window, with its minutes and its moments. */
export interface PieceToDo {
  readonly learnerIds: readonly UserId[]
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly title: string
  readonly className: string
  readonly kind: ResourceKind
  readonly minutes: number
  /** From when on it can be done: when it opens, or is listed, or, without both, when it was published. */
  readonly from: Instant
  /** When it is due, or closes. */
  readonly until: Instant
}

/**
 * Published work of learners, of all classes and teachers, that can be done between two moments; who is left out has
 * none, and what is only recommended weighs nothing. Work without an end is left out: nobody can say on which day it
 * weighs.
 */
export async function piecesToDo(
  tx: Connection,
  learnerIds: readonly UserId[],
  within: { readonly from: Instant; readonly until: Instant },
): Promise<readonly PieceToDo[]> {
  if (learnerIds.length === 0) return []
  // learners are put together before anything else is looked up: a year of a large class is tens of thousands of rows
  const rows = await tx.all<Omit<PieceToDo, 'learnerIds'> & { readonly learnerIds: string }>(
    sql`select w.learnerIds as learnerIds, w.assignmentId as assignmentId, w.pieceId as pieceId, a.title as title,
        c.short_name as className, r.kind as kind, coalesce(v.minutes, r.minutes) as minutes,
        coalesce(w."from", a.published_at, a.created_at) as "from", w.until as until
      from (select w.assignment_id as assignmentId, w.piece_id as pieceId, w.class_id as classId,
          coalesce(w.opens_at, w.listed_at) as "from", coalesce(w.due_at, w.closes_at) as until,
          json_group_array(w.learner_id) as learnerIds
        from learner_work w
        where w.learner_id in ${[...learnerIds]}
          and coalesce(w.due_at, w.closes_at) > ${within.from}
          and (w.assignment_id, w.learner_id) not in (select assignment_id, learner_id from assignment_exceptions)
        group by 1, 2, 3, 4, 5) w
      join assignments a on a.id = w.assignmentId and a.state = 'published'
        and not coalesce(a.body ->> '$.about.isRecommended', 0)
      join classes c on c.id = w.classId
      join assignment_pieces p on p.assignment_id = w.assignmentId and p.id = w.pieceId
      join resources r on r.id = p.resource_id
      left join resource_revisions v on v.resource_id = p.resource_id and v.revision = p.revision
      where coalesce(w."from", a.published_at, a.created_at) < ${within.until}
      order by until, assignmentId, pieceId`,
  )
  return rows.map((row) => ({ ...row, learnerIds: JSON.parse(row.learnerIds) as UserId[] }))
}
