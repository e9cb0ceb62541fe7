import { and, asc, desc, eq, inArray, isNull, or } from 'drizzle-orm'
import type { BookId, ClassId, Instant, ResourceId, SchoolId, UserId } from '#core/base'
import { EMPTY_TRAY } from '#core/library'
import type { ClassShelf, Tray } from '#core/library'
import { classShelfBody, shelfImportBody, trayBody } from '../rows/bodies'
import { classShelves, guidePointers, shelfImports, trays } from '../schema/shelf'
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
