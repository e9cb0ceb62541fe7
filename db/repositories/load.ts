import { sql } from 'drizzle-orm'
import type { AssignmentId, Instant, PieceId, UserId } from '#core/base'
import type { ResourceKind } from '#core/library'
import type { Connection } from './store'

/** A piece that a learner has to do, with its minutes and its moments. */
export interface PieceToDo {
  readonly learnerId: UserId
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
 * Published work of learners, of all classes and teachers, that can be done between two moments; excused learners have
 * none. Work without an end is left out: nobody can say on which day it weighs.
 */
export async function piecesToDo(
  tx: Connection,
  learnerIds: readonly UserId[],
  within: { readonly from: Instant; readonly until: Instant },
): Promise<readonly PieceToDo[]> {
  if (learnerIds.length === 0) return []
  return tx.all<PieceToDo>(
    sql`select w.learner_id as learnerId, w.assignment_id as assignmentId, w.piece_id as pieceId, a.title as title,
        c.short_name as className, r.kind as kind, coalesce(v.minutes, r.minutes) as minutes,
        coalesce(w.opens_at, w.listed_at, a.published_at, a.created_at) as "from",
        coalesce(w.due_at, w.closes_at) as until
      from learner_work w
        join assignments a on a.id = w.assignment_id and a.state = 'published'
        join classes c on c.id = w.class_id
        join assignment_pieces p on p.assignment_id = w.assignment_id and p.id = w.piece_id
        join resources r on r.id = p.resource_id
        left join resource_revisions v on v.resource_id = p.resource_id and v.revision = p.revision
      where w.learner_id in ${[...learnerIds]}
        and coalesce(w.due_at, w.closes_at) > ${within.from}
        and coalesce(w.opens_at, w.listed_at, a.published_at, a.created_at) < ${within.until}
        and not exists (select 1 from assignment_exceptions x where x.assignment_id = w.assignment_id
          and x.learner_id = w.learner_id)
      order by until, w.assignment_id, w.piece_id`,
  )
}
