import { asId, ok, refuse } from '#core/base'
import type { BookId, ComputeRefusal, ResourceId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { ColumnsChosen, FormatRefusal, ShelfReading } from '#core/formats'
import { checkResource, pieceAddress, relinked } from '#core/library'
import type { LibraryRefusal } from '#core/library'
import {
  addBook,
  addFramework,
  addImport,
  addResources,
  addStandards,
  booksFor,
  dropBook,
  dropFramework,
  dropResources,
  importsOf,
  isBookInUse,
  markTakenBack,
  standardsFor,
  usesOf,
} from '#db/repositories'
import type { Connection, ResourceRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'

export interface FileToRead {
  readonly name: string
  /** The file's bytes in base64. */
  readonly base64: string
  /** Of a table of questions, which column is what, where somebody has said so. */
  readonly columns?: ColumnsChosen
}
type ReadRefusal = AccessRefusal | FormatRefusal | ComputeRefusal

/** What a file holds, and what would become of each part of it here; nothing is changed. */
export async function previewImport(
  deps: Pick<Deps, 'store' | 'heavy'>,
  actor: Teacher,
  file: FileToRead,
): Promise<Result<ShelfReading, ReadRefusal>> {
  const read = await deps.heavy.run(
    'shelfFile',
    file.name,
    new Uint8Array(Buffer.from(file.base64, 'base64')),
    file.columns ?? null,
  )
  if (!read.ok) return read
  return read.value.ok ? ok(await asItFits(deps.store.read, actor, read.value.value)) : read.value
}

/** Without standards whose codes are taken here: what names them goes on meaning the ones that are there. */
async function asItFits(tx: Connection, actor: Teacher, reading: ShelfReading): Promise<ShelfReading> {
  if (reading.standards.length === 0) return reading
  const known = new Set((await standardsFor(tx, actor.schoolId)).map((s) => s.code.toLowerCase()))
  const isTaken = (code: string) => known.has(code.toLowerCase())
  const twice = reading.standards.filter((s) => isTaken(s.standard.code)).map((s) => s.standard.code)
  return {
    ...reading,
    standards: reading.standards.filter((s) => !isTaken(s.standard.code)),
    rows: reading.rows.map((row) => {
      const name = twice.find((code) => row.outcome === 'taken' && row.what.startsWith(`${code} `))
      return name === undefined
        ? row
        : { ...row, outcome: 'refused', because: [{ code: 'code-twice', name }] }
    }),
  }
}

type Imported = Result<
  {
    readonly importId: string
    readonly pieces: readonly ResourceId[]
    readonly standards: number
    readonly book: BookId | null
  },
  ReadRefusal | LibraryRefusal
>

/**
 * Takes over all that can be taken of a file, or nothing: pieces as the actor's own, standards for the school, and a
 * textbook, with what is in it, for the school.
 */
export async function makeImport(deps: Deps, actor: Teacher, file: FileToRead): Promise<Imported> {
  const read = await previewImport(deps, actor, file)
  if (!read.ok) return read
  const { pieces, standards, rows, book } = read.value
  if (pieces.length + standards.length === 0 && book === null)
    return refuse({ code: 'formats/nothing-taken', field: 'file', rows: rows.length })
  return writing(deps.store, (tx) => takeOver(deps, tx, actor, { reading: read.value, name: file.name }))
}

/** Takes over what was read, under a name by which it is taken back. */
async function takeOver(
  deps: Pick<Deps, 'ids' | 'clock'>,
  tx: Connection,
  actor: Teacher,
  { reading, name }: { readonly reading: ShelfReading; readonly name: string },
): Promise<Imported> {
  const { pieces, standards, book } = reading
  const importId = deps.ids.newId()
  const bookId = book && (await addWhole(deps, tx, actor, book))
  const records: ResourceRecord[] = []
  const ids = pieces.map(() => asId<ResourceId>(deps.ids.newId()))
  for (const [position, id] of ids.entries()) {
    const piece = pieces[position]
    if (!piece) continue
    const code = `own${deps.ids.newJoinCode()}`.toLowerCase()
    const checked = checkResource({ ...piece, content: leadingOn(piece.content, ids), id, code })
    if (!checked.ok) return checked
    const lessonId = reading.lessonOf[position] ?? null
    const where = bookId !== null && lessonId !== null ? { bookId, lesson: lessonIn(bookId, lessonId) } : null
    records.push({
      resource: checked.value,
      schoolId: actor.schoolId,
      ownerId: actor.userId,
      bookId: where?.bookId ?? null,
      bookLessonId: where?.lesson ?? null,
      position,
      isShared: where !== null,
      revision: 1,
    })
  }
  await addResources(tx, records)
  const made = records.map((r) => r.resource.id)
  const frameworkId = standards.length > 0 ? deps.ids.newId() : null
  if (frameworkId !== null) await addAll(tx, actor, frameworkId, reading)
  await addImport(tx, {
    id: importId,
    userId: actor.userId,
    madeAt: deps.clock.now(),
    name: name.slice(0, 200),
    pieces: made,
    frameworkId,
    bookId,
    takenBackAt: null,
  })
  return ok({ importId, pieces: made, standards: standards.length, book: bookId })
}

/** A text whose links within its file lead to the pieces that were made of it. */
function leadingOn(content: string, ids: readonly ResourceId[]): string {
  return relinked(content, 'taken', (position) => {
    const id = ids[Number(position)]
    return id === undefined ? null : pieceAddress(id)
  })
}

type Sampled = Result<{ readonly books: number; readonly pieces: number }, ReadRefusal | LibraryRefusal>

/**
 * Takes over the textbooks that ship as samples, for the whole school; those that it has by their title are left out.
 * Each is taken back like a file. Not found where none ship, or all are there.
 */
export async function takeSamples(
  deps: Pick<Deps, 'store' | 'ids' | 'clock'>,
  actor: Teacher,
  samples: readonly ShelfReading[],
): Promise<Sampled> {
  return writing(deps.store, async (tx): Promise<Sampled> => {
    const known = new Set((await booksFor(tx, actor.schoolId)).map((b) => b.title))
    const fresh = samples.filter((s) => s.book !== null && !known.has(s.book.title))
    if (fresh.length === 0) return refuse({ code: 'access/not-found', what: 'sample textbook' })
    let pieces = 0
    for (const sample of fresh) {
      const reading = await asItFits(tx, actor, sample)
      const taken = await takeOver(deps, tx, actor, { reading, name: `Sample: ${sample.book?.title ?? ''}` })
      if (!taken.ok) return taken
      pieces += taken.value.pieces.length
    }
    return ok({ books: fresh.length, pieces })
  })
}

/** The name of a lesson everywhere, from its name within its file. */
const lessonIn = (bookId: BookId, lessonId: string) => `${bookId}.${lessonId}`

async function addWhole(
  deps: Pick<Deps, 'ids'>,
  tx: Connection,
  actor: Teacher,
  book: NonNullable<ShelfReading['book']>,
): Promise<BookId> {
  const id = asId<BookId>(deps.ids.newId())
  const units = book.units.map((u) => ({
    ...u,
    lessons: u.lessons.map((l) => ({ ...l, id: lessonIn(id, l.id) })),
  }))
  const position = (await booksFor(tx, actor.schoolId)).length
  await addBook(tx, { ...book, id, units }, actor.schoolId, position)
  return id
}

async function addAll(tx: Connection, actor: Teacher, id: string, reading: ShelfReading): Promise<void> {
  const { schoolId } = actor
  const { title, outsideId, standards } = reading
  await addFramework(tx, {
    id,
    schoolId,
    title: title.slice(0, 200),
    outsideId,
    creator: reading.creator?.slice(0, 200) ?? null,
  })
  const outsideIds = new Map(standards.map((s) => [s.standard.code, s.outsideId ?? '']))
  await addStandards(
    tx,
    standards.map((s) => s.standard),
    { schoolId, frameworkId: id, outsideIds },
  )
}

/** What the actor has read in, the latest first. */
export async function listImports(deps: Pick<Deps, 'store'>, actor: Teacher) {
  const made = await importsOf(deps.store.read, actor.userId)
  return ok({
    imports: made.map(({ id, name, madeAt, pieces, frameworkId, bookId, takenBackAt }) => ({
      id,
      name,
      madeAt,
      pieces: pieces.length,
      hasStandards: frameworkId !== null,
      hasBook: bookId !== null,
      takenBackAt,
    })),
  })
}

type TakenBack = Result<{ readonly pieces: number }, AccessRefusal | LibraryRefusal>

/**
 * Takes back all that came from a file. Refused while work gives any of it out; what was removed already stays so.
 * Questions that name its standards go on naming their codes.
 */
export async function takeImportBack(deps: Deps, actor: Teacher, importId: string): Promise<TakenBack> {
  return writing(deps.store, async (tx): Promise<TakenBack> => {
    const made = (await importsOf(tx, actor.userId)).find((i) => i.id === importId && i.takenBackAt === null)
    if (!made) return refuse({ code: 'access/not-found', what: 'import' })
    const works = await usesOf(tx, made.pieces)
    if (works > 0) return refuse({ code: 'library/piece-in-use', field: 'resourceId', works })
    if (made.bookId !== null && (await isBookInUse(tx, made.bookId)))
      return refuse({ code: 'library/book-in-use', field: 'bookId', title: made.name })
    await dropResources(tx, made.pieces)
    if (made.bookId !== null) await dropBook(tx, made.bookId)
    if (made.frameworkId !== null) await dropFramework(tx, made.frameworkId)
    await markTakenBack(tx, importId, deps.clock.now())
    return ok({ pieces: made.pieces.length })
  })
}
