import { and, asc, desc, eq, inArray, isNull, or } from 'drizzle-orm'
import type { BookId, ClassId, Instant, ResourceId, SchoolId, UserId } from '#core/base'
import { EMPTY_TRAY } from '#core/library'
import type { ClassShelf, Tray } from '#core/library'
import { classShelfBody, shelfImportBody, trayBody } from '../rows/bodies'
import {
  classShelves,
  guidePointers,
  practiceDone,
  practiceRoutes,
  shelfImports,
  trays,
} from '../schema/shelf'
import type { Connection } from './store'

/** What somebody has in their tray. */
export async function trayOf(tx: Connection, userId: UserId): Promise<Tray> {
  const [row] = await tx.select().from(trays).where(eq(trays.userId, userId))
  return row ? trayBody.read(row.body) : EMPTY_TRAY
}

/** Keeps somebody's tray. */
export async function saveTray(tx: Connection, userId: UserId, tray: Tray): Promise<void> {
  const body = trayBody.print(tray)
  await tx.insert(trays).values({ userId, body }).onConflictDoUpdate({ target: trays.userId, set: { body } })
}

/** A class's textbooks and usual narrowing; null: nobody has said. */
export async function classShelfOf(tx: Connection, classId: ClassId): Promise<ClassShelf | null> {
  const [row] = await tx.select().from(classShelves).where(eq(classShelves.classId, classId))
  return row ? classShelfBody.read(row.body) : null
}

/** Keeps a class's textbooks and usual narrowing. */
export async function saveClassShelf(tx: Connection, classId: ClassId, shelf: ClassShelf): Promise<void> {
  const body = classShelfBody.print(shelf)
  await tx
    .insert(classShelves)
    .values({ classId, body })
    .onConflictDoUpdate({ target: classShelves.classId, set: { body } })
}

/** A textbook opened to a class as practice. */
export interface PracticeRoute {
  readonly id: string
  readonly classId: ClassId
  readonly bookId: BookId
  readonly openedBy: UserId
  readonly openedAt: Instant
  readonly closedAt: Instant | null
}

/** Routes that are open to classes, first opened first. */
export async function openRoutes(
  tx: Connection,
  classIds: readonly ClassId[],
): Promise<readonly PracticeRoute[]> {
  if (classIds.length === 0) return []
  return tx
    .select()
    .from(practiceRoutes)
    .where(and(inArray(practiceRoutes.classId, [...classIds]), isNull(practiceRoutes.closedAt)))
    .orderBy(asc(practiceRoutes.openedAt), asc(practiceRoutes.id))
}

/** Opens a route. */
export async function addRoute(tx: Connection, route: PracticeRoute): Promise<void> {
  await tx.insert(practiceRoutes).values(route)
}

/** Closes a route; what was practised is kept. */
export async function closeRoute(tx: Connection, id: string, at: Instant): Promise<void> {
  await tx.update(practiceRoutes).set({ closedAt: at }).where(eq(practiceRoutes.id, id))
}

/** What somebody last did at a piece of a route; `ratio` null: only read. */
export interface Practised {
  readonly resourceId: ResourceId
  readonly times: number
  readonly ratio: number | null
  readonly doneAt: Instant
}

/** What learners have practised. */
export async function practisedBy(tx: Connection, learnerId: UserId): Promise<readonly Practised[]> {
  return tx.select().from(practiceDone).where(eq(practiceDone.learnerId, learnerId))
}

/** Writes down that somebody practised a piece once more. */
export async function addPractice(
  tx: Connection,
  of: {
    readonly learnerId: UserId
    readonly resourceId: ResourceId
    readonly ratio: number | null
    readonly doneAt: Instant
  },
): Promise<number> {
  const known = (await practisedBy(tx, of.learnerId)).find((p) => p.resourceId === of.resourceId)
  const times = (known?.times ?? 0) + 1
  const { ratio, doneAt } = of
  await tx
    .insert(practiceDone)
    .values({ ...of, times })
    .onConflictDoUpdate({
      target: [practiceDone.learnerId, practiceDone.resourceId],
      set: { times, ratio, doneAt },
    })
  return times
}

/** "If weak here, give that". */
export interface GuidePointer {
  readonly id: string
  /** Null: from a textbook. */
  readonly schoolId: SchoolId | null
  readonly fromPiece: ResourceId | null
  readonly fromStandard: string | null
  readonly toPiece: ResourceId
  /** A school has taken it out. */
  readonly isOff: boolean
}

/** Pointers from a piece or from standards that a school has, its own and the textbooks', taken out ones included. */
export async function pointersFrom(
  tx: Connection,
  schoolId: SchoolId,
  from: { readonly pieces: readonly ResourceId[]; readonly standards: readonly string[] },
): Promise<readonly GuidePointer[]> {
  const isFrom = or(
    inArray(guidePointers.fromPiece, [...from.pieces, '' as ResourceId]),
    inArray(guidePointers.fromStandard, [...from.standards, '']),
  )
  const isOpen = or(isNull(guidePointers.schoolId), eq(guidePointers.schoolId, schoolId))
  return tx.select().from(guidePointers).where(and(isFrom, isOpen)).orderBy(asc(guidePointers.id))
}

/** Adds a pointer. */
export async function addPointer(tx: Connection, pointer: GuidePointer): Promise<void> {
  await tx.insert(guidePointers).values(pointer)
}

/** Takes a school's pointer away. */
export async function dropPointer(tx: Connection, id: string): Promise<void> {
  await tx.delete(guidePointers).where(eq(guidePointers.id, id))
}

/** What was read in from a file. */
export interface ShelfImport {
  readonly id: string
  readonly userId: UserId
  readonly madeAt: Instant
  /** Of the file. */
  readonly name: string
  readonly pieces: readonly ResourceId[]
  readonly frameworkId: string | null
  readonly bookId: BookId | null
  readonly takenBackAt: Instant | null
}

/** Writes down what was read in. */
export async function addImport(tx: Connection, made: ShelfImport): Promise<void> {
  const { pieces, frameworkId, bookId, ...plain } = made
  const body = shelfImportBody.print({ pieces, frameworkId, bookId })
  await tx.insert(shelfImports).values({ ...plain, body })
}

/** What somebody has read in, the latest first, at most twenty. */
export async function importsOf(tx: Connection, userId: UserId): Promise<readonly ShelfImport[]> {
  const rows = await tx
    .select()
    .from(shelfImports)
    .where(eq(shelfImports.userId, userId))
    .orderBy(desc(shelfImports.madeAt), desc(shelfImports.id))
    .limit(20)
  return rows.map(({ body, ...plain }) => ({ ...plain, ...shelfImportBody.read(body) }))
}

/** Writes down that what was read in was taken back. */
export async function markTakenBack(tx: Connection, id: string, at: Instant): Promise<void> {
  await tx.update(shelfImports).set({ takenBackAt: at }).where(eq(shelfImports.id, id))
}
