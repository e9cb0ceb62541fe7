import { z } from 'zod'
import type { AssignmentId, BookId, FileId, Instant, PieceId, ResourceId } from '#core/base'
import { MOST_KEPT_BYTES } from '#core/library'
import type { KeptFile } from '#core/library'
import type { MyFile } from '#core/work'
import type { ShelfReading } from '#core/formats'
import { WIRE } from '../shapes/makers'
import { columnsChosen, contract, id, line } from './define'

/** As large as a file may be that is read in, in bytes. */
export const MOST_FILE_BYTES = 20_000_000
const fileOf = (most: number) => ({
  name: line(200),
  base64: z.base64('is no file').max(Math.ceil((most * 4) / 3) + 4, 'is too large'),
})
const file = z.strictObject({ ...fileOf(MOST_FILE_BYTES), columns: columnsChosen })
// letters for bytes, and what stands around them
const mostBytesOf = (most: number) => Math.ceil((most * 4) / 3) + 10_000
const mostBytes = mostBytesOf(MOST_FILE_BYTES)

/** What a file holds, and what would become of each part of it. */
export const PreviewImport = contract<ShelfReading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/read-file',
  body: file,
  mostBytes,
})
/** Takes over the textbooks that ship as samples. */
export const TakeSamples = contract<{ readonly books: number; readonly pieces: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/samples',
  body: z.strictObject({}),
})
export interface Imported {
  readonly importId: string
  readonly pieces: readonly ResourceId[]
  readonly standards: number
  readonly book: BookId | null
}
/** Takes over all that can be taken of a file, or nothing. */
export const MakeImport = contract<Imported>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/imports',
  body: file,
  mostBytes,
})
export interface ImportMade {
  readonly id: string
  readonly name: string
  readonly madeAt: Instant
  readonly pieces: number
  readonly hasStandards: boolean
  readonly hasBook: boolean
  readonly takenBackAt: Instant | null
}
/** What the asker has read in, the latest first. */
export const ListImports = contract<{ readonly imports: readonly ImportMade[] }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/shelf/imports',
})
/** Takes back all that came from a file. */
export const TakeImportBack = contract<{ readonly pieces: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/shelf/imports/:importId/take-back',
  params: z.strictObject({ importId: WIRE.line(64) }),
})

export const PIECE_FILES = ['qti', 'csv'] as const
/** A piece as a QTI 3.0 package (.zip), or its items as a table (.csv). */
export const PieceFile = contract<unknown>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/resources/:resourceId/file',
  params: z.strictObject({ resourceId: id<ResourceId>() }),
  query: z.strictObject({ as: z.enum(PIECE_FILES) }),
})
/** Frameworks of standards open to the asker. */
export const ListFrameworks = contract<{
  readonly frameworks: readonly { readonly id: string; readonly title: string }[]
}>()({ for: 'teacher', method: 'GET', path: '/api/frameworks' })
/** A framework of standards as CASE 1.0 (.json). */
export const FrameworkFile = contract<unknown>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/frameworks/:frameworkId/file',
  params: z.strictObject({ frameworkId: WIRE.line(64) }),
})
/** The outline of a textbook as a table (.csv). */
export const BookFile = contract<unknown>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/books/:bookId/file',
  params: z.strictObject({ bookId: id<BookId>() }),
})

/** Keeps a picture, a sheet or a recording for pieces of one's own. */
export const KeepFile = contract<KeptFile>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/files',
  body: z.strictObject(fileOf(MOST_KEPT_BYTES)),
  mostBytes: mostBytesOf(MOST_KEPT_BYTES),
})
/** The content of a kept file. */
export const ShowFile = contract<unknown>()({
  for: 'signed-in',
  method: 'GET',
  path: '/api/files/:fileId',
  params: z.strictObject({ fileId: id<FileId>() }),
})
export interface MyFiles {
  readonly files: readonly MyFile[]
}
/** Hands in a file for a piece of one's own work. */
export const HandFile = contract<MyFiles>()({
  for: 'learner',
  method: 'POST',
  path: '/api/my-work/:assignmentId/files',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  body: z.strictObject({ pieceId: id<PieceId>(), ...fileOf(MOST_KEPT_BYTES) }),
  mostBytes: mostBytesOf(MOST_KEPT_BYTES),
})
/** Takes a file back that one handed in. */
export const TakeFileBack = contract<MyFiles>()({
  for: 'learner',
  method: 'POST',
  path: '/api/my-work/:assignmentId/files/:fileId/take-back',
  params: z.strictObject({ assignmentId: id<AssignmentId>(), fileId: id<FileId>() }),
  body: z.strictObject({ pieceId: id<PieceId>() }),
})
