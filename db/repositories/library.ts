import { and, asc, eq, getTableColumns, inArray, isNull, or, sql } from 'drizzle-orm'
import type { SQL } from 'drizzle-orm'
import type { BookId, ResourceId, SchoolId, UserId } from '#core/base'
import { kindsThat } from '#core/library'
import type { Book, Resource } from '#core/library'
import { fromBook, fromResource, toBook, toResource } from '../rows/libraryRows'
import type { ResourceRecord, ResourceRow } from '../rows/libraryRows'
import { resourceBody } from '../rows/bodies'
import { books, resourceRevisions, resources } from '../schema/library'
import { guidePointers, practiceDone, practiceRoutes } from '../schema/shelf'
import { layers } from '../schema/versions'
import { ask } from './ask'
import { keptBy } from './keptReads'
import type { FormInShort } from './keptReads'
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

/** Whether a plan, a class's shelf or an open practice route uses a textbook. */
export async function isBookInUse(tx: Connection, id: BookId): Promise<boolean> {
  const [row] = await tx.all<{ used: number }>(
    sql`select exists (select 1 from plans where book_id = ${id})
      or exists (select 1 from practice_routes where book_id = ${id} and closed_at is null)
      or exists (select 1 from class_shelves s, json_each(s.body, '$.bookIds') b where b.value = ${id}) as used`,
  )
  return row?.used === 1
}

/** Takes away a textbook whose pieces are gone, and the routes that were closed again. */
export async function dropBook(tx: Connection, id: BookId): Promise<void> {
  await tx.delete(practiceRoutes).where(eq(practiceRoutes.bookId, id))
  await tx.delete(books).where(eq(books.id, id))
}

const { body: _, ...cardColumns } = getTableColumns(resources)
/** Everything but content and items. */
export const CARD = cardColumns

/** Whose eyes: their school, and they themselves. */
export interface Looker {
  readonly schoolId: SchoolId
  readonly userId: UserId
}

/** Cards of all pieces open to somebody: of textbooks, shared in their school, and their own. */
export async function cardsFor(
  tx: Connection,
  { schoolId, userId }: Looker,
): Promise<readonly ResourceCard[]> {
  const isOpen = or(eq(resources.isShared, true), eq(resources.ownerId, userId))
  return tx
    .select(CARD)
    .from(resources)
    .where(or(isNull(resources.schoolId), and(eq(resources.schoolId, schoolId), isOpen)))
    .orderBy(asc(resources.position), asc(resources.code))
}

/** Cards of all pieces of textbooks, in book order. */
export async function cardsOfBooks(
  tx: Connection,
  bookIds: readonly BookId[],
): Promise<readonly ResourceCard[]> {
  if (bookIds.length === 0) return []
  return tx
    .select(CARD)
    .from(resources)
    .where(inArray(resources.bookId, [...bookIds]))
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

/** A piece in one of its forms. */
export interface PieceForm {
  readonly resourceId: ResourceId
  readonly revision: number
}
/** A name for a form of a piece. */
export function formName({ resourceId, revision }: PieceForm): string {
  return `${resourceId} ${revision}`
}

/** Pieces in the forms that are asked for, by `formName`; a form that never was is absent. */
export async function piecesIn(
  tx: Connection,
  forms: readonly PieceForm[],
): Promise<ReadonlyMap<string, Resource>> {
  const ids = [...new Set(forms.map((f) => f.resourceId))]
  const newest = await resourcesById(tx, ids)
  const wanted = new Set(forms.map(formName))
  const out = new Map<string, Resource>()
  for (const { resource, revision } of newest.values())
    out.set(formName({ resourceId: resource.id, revision }), resource)
  const missing = forms.filter((f) => !out.has(formName(f)))
  if (missing.length === 0) return out
  const older = await tx
    .select()
    .from(resourceRevisions)
    .where(
      inArray(
        resourceRevisions.resourceId,
        missing.map((f) => f.resourceId),
      ),
    )
  for (const { body, itemCount: _, ...row } of older) {
    const now = newest.get(row.resourceId)?.resource
    if (!now || !wanted.has(formName(row))) continue
    const { title, minutes } = row
    out.set(formName(row), { ...now, title, minutes, ...resourceBody.read(body) })
  }
  return out
}

/** Former forms of a piece that are kept, the first one first. */
export async function formerFormsOf(tx: Connection, id: ResourceId): Promise<readonly number[]> {
  const rows = await tx
    .select({ revision: resourceRevisions.revision })
    .from(resourceRevisions)
    .where(eq(resourceRevisions.resourceId, id))
    .orderBy(asc(resourceRevisions.revision))
  return rows.map((r) => r.revision)
}

/** One piece in one of its forms, or null. */
export async function pieceIn(tx: Connection, form: PieceForm): Promise<Resource | null> {
  const kept = keptBy(tx)?.forms
  const name = formName(form)
  const known = kept?.get(name)
  if (known) return known
  const found = (await piecesIn(tx, [form])).get(name) ?? null
  if (found) kept?.keep(name, found)
  return found
}

/** What lists show of pieces in the forms that are asked for, by `formName`. */
export async function formsInShort(
  tx: Connection,
  forms: readonly PieceForm[],
): Promise<ReadonlyMap<string, FormInShort>> {
  const kept = keptBy(tx)?.formsInShort
  const out = new Map<string, FormInShort>()
  const missing: PieceForm[] = []
  for (const form of forms) {
    const known = kept?.get(formName(form))
    if (known) out.set(formName(form), known)
    else missing.push(form)
  }
  if (missing.length === 0) return out
  const found = await ask<FormInShort>(tx, FORMS_IN_SHORT, [
    JSON.stringify(missing.map((f) => [f.resourceId, f.revision])),
  ])
  for (const form of found) {
    kept?.keep(formName(form), form)
    out.set(formName(form), form)
  }
  return out
}

const FORMS_IN_SHORT = `
  select distinct r.id as resourceId, f.value ->> 1 as revision, r.kind,
    coalesce(v.title, r.title) as title, coalesce(v.minutes, r.minutes) as minutes,
    coalesce(v.item_count, r.item_count) as itemCount
  from json_each(?) f join resources r on r.id = f.value ->> 0
    left join resource_revisions v on v.resource_id = r.id and v.revision = f.value ->> 1`

/** Whether a piece is given to somebody in place of another. */
function isGivenInstead(id: SQL): SQL {
  return sql`exists (select 1 from assignment_targets t, json_each(t.overrides, '$.versions') v
      where v.value ->> 'resourceId' = ${id})
    or exists (select 1 from learner_work w where w.version is not null
      and w.version ->> '$.instead.resourceId' = ${id})`
}

/** Whether an assignment gives out this form of a piece, or a learner has begun it in this form. */
export async function isFormInUse(tx: Connection, { resourceId, revision }: PieceForm): Promise<boolean> {
  const [row] = await tx.all<{ used: number }>(
    sql`select exists (select 1 from assignment_pieces p where p.resource_id = ${resourceId}
      and p.revision = ${revision}) or exists (select 1 from attempts t join assignment_pieces p
      on p.assignment_id = t.assignment_id and p.id = t.piece_id
      where p.resource_id = ${resourceId} and t.revision = ${revision})
      or ${isGivenInstead(sql`${resourceId}`)} as used`,
  )
  return row?.used === 1
}

/**
 * Puts a piece in the place of what it was, as its next form: a revision never names two. With `keeps`, the former
 * form is kept beside it.
 */
export async function saveResource(tx: Connection, record: ResourceRecord, keeps: boolean): Promise<void> {
  const { id } = record.resource
  if (keeps) {
    const [was] = await tx.select().from(resources).where(eq(resources.id, id))
    if (!was) throw new Error('no such piece')
    const { revision, title, minutes, itemCount, body } = was
    await tx.insert(resourceRevisions).values({ resourceId: id, revision, title, minutes, itemCount, body })
  }
  const revision = record.revision + 1
  await tx
    .update(resources)
    .set(fromResource({ ...record, revision }))
    .where(eq(resources.id, id))
}

/** True when a code is taken among a school's own pieces. */
export async function ownCodeTaken(tx: Connection, schoolId: SchoolId, code: string): Promise<boolean> {
  const rows = await tx
    .select({ id: resources.id })
    .from(resources)
    .where(and(eq(resources.schoolId, schoolId), eq(resources.code, code)))
  return rows.length > 0
}

/** Opens a piece to its school, or takes it back. */
export async function setShared(tx: Connection, id: ResourceId, isShared: boolean): Promise<void> {
  await tx.update(resources).set({ isShared }).where(eq(resources.id, id))
}

/** How many assignments give any of these pieces out, or did. */
export async function usesOf(tx: Connection, ids: readonly ResourceId[]): Promise<number> {
  const [row] = await tx.all<{ works: number }>(
    sql`select count(distinct assignment_id) as works from (
        select assignment_id, resource_id as id from assignment_pieces
        union all select t.assignment_id, v.value ->> 'resourceId'
          from assignment_targets t, json_each(t.overrides, '$.versions') v
        union all select assignment_id, version ->> '$.instead.resourceId' from learner_work
          where version is not null)
      where id in (select value from json_each(${JSON.stringify(ids)}))`,
  )
  return row?.works ?? 0
}

/** Takes pieces away, with their former forms and what points to them. */
export async function dropResources(tx: Connection, ids: readonly ResourceId[]): Promise<void> {
  const gone = sql`(select value from json_each(${JSON.stringify(ids)}))`
  await tx
    .delete(guidePointers)
    .where(or(inArray(guidePointers.fromPiece, gone), inArray(guidePointers.toPiece, gone)))
  await tx.delete(layers).where(inArray(layers.resourceId, gone))
  await tx.delete(practiceDone).where(inArray(practiceDone.resourceId, gone))
  await tx.delete(resourceRevisions).where(inArray(resourceRevisions.resourceId, gone))
  await tx.delete(resources).where(inArray(resources.id, gone))
}

/** Adds a piece. */
export async function addResource(tx: Connection, record: ResourceRecord): Promise<void> {
  await addResources(tx, [record])
}

/** So many rows go into one statement: a database takes only so many values at once. */
const ROWS_AT_ONCE = 50

/** Adds pieces. */
export async function addResources(tx: Connection, records: readonly ResourceRecord[]): Promise<void> {
  for (let from = 0; from < records.length; from += ROWS_AT_ONCE)
    await tx.insert(resources).values(records.slice(from, from + ROWS_AT_ONCE).map(fromResource))
}

/** Kinds that show how something is done. */
const EXAMPLES = kindsThat((card) => card.isExample)

/** The worked example of the textbook lesson that a piece belongs to; null when it has none, or is one itself. */
export async function exampleFor(
  tx: Connection,
  id: ResourceId,
): Promise<{ readonly title: string; readonly content: string } | null> {
  const [row] = await tx.all<{ id: ResourceId }>(
    sql`select e.id from resources r join resources e on e.book_id = r.book_id
      and e.book_lesson_id = r.book_lesson_id and e.kind in ${EXAMPLES} and e.id <> r.id
      where r.id = ${id} order by e.position limit 1`,
  )
  const found = row ? await resourceById(tx, row.id) : null
  return found ? { title: found.resource.title, content: found.resource.content } : null
}
