import { and, asc, eq, inArray, isNull, or } from 'drizzle-orm'
import type { BookId, ResourceId, SchoolId } from '#core/base'
import type { Book, Standard } from '#core/library'
import { fromBook, fromResource, toBook, toResource } from '../rows/libraryRows'
import type { ResourceRecord, ResourceRow } from '../rows/libraryRows'
import { books, resources, standards } from '../schema/library'
import type { Connection } from './store'

export type ResourceCard = Omit<ResourceRow, 'body'>

/** Textbooks open to a school. */
export async function booksFor(tx: Connection, schoolId: SchoolId): Promise<readonly Book[]> {
  return (
    await tx
      .select()
      .from(books)
      .where(or(isNull(books.schoolId), eq(books.schoolId, schoolId)))
      .orderBy(asc(books.position))
  ).map(toBook)
}

/** One textbook, or null. */
export async function bookById(tx: Connection, id: BookId): Promise<Book | null> {
  const [row] = await tx.select().from(books).where(eq(books.id, id))
  return row ? toBook(row) : null
}

/** Adds a textbook; without a school it is open to all. */
export async function addBook(
  tx: Connection,
  book: Book,
  schoolId: SchoolId | null,
  position: number,
): Promise<void> {
  await tx.insert(books).values({ id: book.id, schoolId, position, body: fromBook(book) })
}

/** Cards (everything but content and items) of all pieces open to a school. */
export async function cardsFor(tx: Connection, schoolId: SchoolId): Promise<readonly ResourceCard[]> {
  const {
    id,
    schoolId: school,
    ownerId,
    bookId,
    bookLessonId,
    position,
    code,
    title,
    kind,
    role,
    minutes,
    grade,
    itemCount,
  } = resources
  return tx
    .select({
      id,
      schoolId: school,
      ownerId,
      bookId,
      bookLessonId,
      position,
      code,
      title,
      kind,
      role,
      minutes,
      grade,
      itemCount,
    })
    .from(resources)
    .where(or(isNull(resources.schoolId), eq(resources.schoolId, schoolId)))
    .orderBy(asc(resources.position), asc(resources.code))
}

/** One piece with content and items, or null. */
export async function resourceById(tx: Connection, id: ResourceId): Promise<ResourceRecord | null> {
  const [row] = await tx.select().from(resources).where(eq(resources.id, id))
  return row ? toResource(row) : null
}

/** Pieces by id. */
export async function resourcesById(
  tx: Connection,
  ids: readonly ResourceId[],
): Promise<ReadonlyMap<ResourceId, ResourceRecord>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select()
    .from(resources)
    .where(inArray(resources.id, [...new Set(ids)]))
  return new Map(rows.map((r) => [r.id, toResource(r)]))
}

/** True when a code is taken among a school's own pieces. */
export async function ownCodeTaken(tx: Connection, schoolId: SchoolId, code: string): Promise<boolean> {
  const rows = await tx
    .select({ id: resources.id })
    .from(resources)
    .where(and(eq(resources.schoolId, schoolId), eq(resources.code, code)))
  return rows.length > 0
}

/** Adds a piece. */
export async function addResource(tx: Connection, record: ResourceRecord): Promise<void> {
  await tx.insert(resources).values(fromResource(record))
}

/** Adds standards, replacing the text of known codes. */
export async function addStandards(tx: Connection, list: readonly Standard[]): Promise<void> {
  for (const s of list)
    await tx
      .insert(standards)
      .values(s)
      .onConflictDoUpdate({ target: standards.code, set: { text: s.text } })
}

/** Standards by code, in words. */
export async function standardsByCode(
  tx: Connection,
  codes: readonly string[],
): Promise<readonly Standard[]> {
  return codes.length === 0
    ? []
    : tx
        .select()
        .from(standards)
        .where(inArray(standards.code, [...new Set(codes)]))
        .orderBy(asc(standards.code))
}
