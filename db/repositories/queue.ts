import { eq, sql } from 'drizzle-orm'
import type { AssignmentId, ClassId, Instant, UserId } from '#core/base'
import { foldedName } from '#core/filing'
import type { Carried, Queued } from '#core/load'
import { workQueue } from '../schema/classWork'
import type { Connection } from './store'

/** Work that waits for a learner, with the class in which it reaches them. */
export interface QueuedWork extends Queued {
  readonly assignmentId: AssignmentId
  readonly classId: ClassId
  readonly title: string
  /** As it is compared: without case and spaces around it. */
  readonly category: string
}

interface Row extends Omit<QueuedWork, 'category'> {
  readonly filed: string
}
const asQueued = ({ filed, ...row }: Row): QueuedWork => ({ ...row, category: foldedName(filed) })
const WAITING = sql`select q.assignment_id as assignmentId, q.learner_id as learnerId, q.class_id as classId,
    q.since, q.opens_at as "from", q.ends_at as "until", q.pieces, a.title as title,
    json_extract(a.body, '$.about.category') as filed
  from work_queue q join assignments a on a.id = q.assignment_id and a.state = 'published'`

/** All published work that waits for learners of classes. */
export async function queueInClasses(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly QueuedWork[]> {
  if (classIds.length === 0) return []
  const rows = await tx.all<Row>(sql`${WAITING} where q.class_id in ${[...classIds]}`)
  return rows.map(asQueued)
}

/** What waits for some learners. */
export async function queueOfLearners(
  tx: Connection,
  learnerIds: readonly UserId[],
): Promise<readonly QueuedWork[]> {
  if (learnerIds.length === 0) return []
  const rows = await tx.all<Row>(
    sql`${WAITING} where q.learner_id in (select value from json_each(${JSON.stringify(learnerIds)}))`,
  )
  return rows.map(asQueued)
}

/** Classes in which somebody waits. */
export async function classesWithQueue(tx: Connection): Promise<readonly ClassId[]> {
  const rows = await tx.selectDistinct({ id: workQueue.classId }).from(workQueue)
  return rows.map((r) => r.id)
}

/** Who waits for an assignment from now on; nobody else does. */
export async function saveQueue(
  tx: Connection,
  assignmentId: AssignmentId,
  waiting: readonly (Queued & { readonly classId: ClassId })[],
): Promise<void> {
  await tx.delete(workQueue).where(eq(workQueue.assignmentId, assignmentId))
  const list = JSON.stringify(waiting)
  if (waiting.length > 0)
    await tx.run(sql`insert into work_queue (assignment_id, learner_id, class_id, since, opens_at, ends_at, pieces)
      select ${assignmentId}, value ->> 'learnerId', value ->> 'classId', value ->> 'since',
        value ->> 'from', value ->> 'until', value ->> 'pieces' from json_each(${list})`)
}

/** A piece that a learner has and has not handed in, with the name under which it is graded. */
export interface CarriedPiece extends Carried {
  readonly assignmentId: AssignmentId
  readonly learnerId: UserId
  readonly classId: ClassId
  readonly category: string
}

/** What learners have of work with a category, and have not handed in. */
export async function carriedBy(
  tx: Connection,
  learnerIds: readonly UserId[],
  now: Instant,
): Promise<readonly CarriedPiece[]> {
  if (learnerIds.length === 0) return []
  const rows = await tx.all<Omit<CarriedPiece, 'category'> & { readonly filed: string }>(
    sql`select w.assignment_id as assignmentId, w.learner_id as learnerId, w.class_id as classId,
        coalesce(w.opens_at, w.listed_at) as "from", w.closes_at as "until",
        json_extract(a.body, '$.about.category') as filed
      from learner_work w join assignments a on a.id = w.assignment_id and a.state = 'published'
      where w.learner_id in (select value from json_each(${JSON.stringify(learnerIds)}))
        and trim(filed) <> '' and (w.closes_at is null or w.closes_at > ${now})
        and not exists (select 1 from attempts t where t.assignment_id = w.assignment_id
          and t.learner_id = w.learner_id and t.piece_id = w.piece_id and t.submitted_at is not null)
        and not exists (select 1 from assignment_exceptions x where x.assignment_id = w.assignment_id
          and x.learner_id = w.learner_id)`,
  )
  return rows.map(({ filed, ...row }) => ({ ...row, category: foldedName(filed) }))
}
