import { and, asc, eq, inArray, isNull } from 'drizzle-orm'
import type { BookId, ClassId, Instant, ItemId, UserId } from '#core/base'
import type { LastPractice } from '#core/library'
import { readList } from '../rows/lists'
import { practiceDone, practiceRoutes } from '../schema/shelf'
import type { Connection } from './store'

/** A textbook opened to a class as practice. */
export interface PracticeRoute {
  readonly id: string
  readonly classId: ClassId
  readonly bookId: BookId
  readonly openedBy: UserId
  readonly openedAt: Instant
  readonly closedAt: Instant | null
  /** To whom alone it is open; null: to the whole class. */
  readonly learnerIds: readonly UserId[] | null
  /** Whether it waits for what comes first in the class. */
  readonly waits: boolean
}

/** Routes that are open to classes, first opened first. */
export async function openRoutes(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly PracticeRoute[]> {
  if (classIds.length === 0) return []
  const rows = await tx
    .select()
    .from(practiceRoutes)
    .where(and(inArray(practiceRoutes.classId, [...classIds]), isNull(practiceRoutes.closedAt)))
    .orderBy(asc(practiceRoutes.openedAt), asc(practiceRoutes.id))
  return rows.map(({ learnerIds, ...row }) => ({
    ...row,
    learnerIds: learnerIds === null ? null : readList<UserId>(learnerIds, 'practice_routes.learner_ids'),
  }))
}

/** Opens a route, or keeps to whom it is open and what it waits for. */
export async function saveRoute(tx: Connection, route: PracticeRoute): Promise<void> {
  const learnerIds = route.learnerIds && JSON.stringify(route.learnerIds)
  const row = { ...route, learnerIds }
  await tx
    .insert(practiceRoutes)
    .values(row)
    .onConflictDoUpdate({ target: practiceRoutes.id, set: { learnerIds, waits: route.waits } })
}

/** Closes a route; what was practised is kept. */
export async function closeRoute(tx: Connection, id: string, at: Instant): Promise<void> {
  await tx.update(practiceRoutes).set({ closedAt: at }).where(eq(practiceRoutes.id, id))
}

/** What somebody last did at a piece of a route, and when. */
export interface Practised extends LastPractice {
  readonly doneAt: Instant
}

/** What learners have practised. */
export async function practisedBy(
  tx: Connection,
  learnerIds: readonly UserId[],
): Promise<readonly Practised[]> {
  if (learnerIds.length === 0) return []
  const rows = await tx
    .select()
    .from(practiceDone)
    .where(inArray(practiceDone.learnerId, [...learnerIds]))
  return rows.map((row) => ({ ...row, missed: readList<ItemId>(row.missed, 'practice_done.missed') }))
}

/** Writes down that somebody practised a piece once more; how often they have now. */
export async function addPractice(tx: Connection, of: Omit<Practised, 'times'>): Promise<number> {
  const known = (await practisedBy(tx, [of.learnerId])).find((p) => p.resourceId === of.resourceId)
  const times = (known?.times ?? 0) + 1
  const { ratio, doneAt } = of
  const missed = JSON.stringify(of.missed)
  await tx
    .insert(practiceDone)
    .values({ ...of, missed, times })
    .onConflictDoUpdate({
      target: [practiceDone.learnerId, practiceDone.resourceId],
      set: { times, ratio, doneAt, missed },
    })
  return times
}
