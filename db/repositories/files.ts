import { and, asc, eq, inArray, isNull } from 'drizzle-orm'
import type { AssignmentId, FileId, Instant, PieceId, SchoolId, UserId } from '#core/base'
import type { KeptFile } from '#core/library'
import { handedFiles, keptFiles } from '../schema/files'
import { users } from '../schema/people'
import type { Connection } from './store'

/** A kept file and whose it is. */
export interface FileRecord {
  readonly file: KeptFile
  readonly schoolId: SchoolId
  readonly ownerId: UserId
  readonly madeAt: Instant
  /** Since when it is part of a piece; null: it is its owner's alone. */
  readonly attachedAt: Instant | null
}

/** Keeps a file. */
export async function addFile(tx: Connection, record: FileRecord, bytes: Uint8Array): Promise<void> {
  const { file, ...whose } = record
  await tx.insert(keptFiles).values({ ...file, ...whose, bytes: Buffer.from(bytes) })
}

const { id, name, sort, type, size, schoolId, ownerId, madeAt, attachedAt } = keptFiles
/** Everything but the content. */
const FILE = { id, name, sort, type, size }

/** Kept files by id, without their content. */
export async function filesById(
  tx: Connection,
  ids: readonly FileId[],
): Promise<ReadonlyMap<FileId, FileRecord>> {
  if (ids.length === 0) return new Map()
  const rows = await tx
    .select({ file: FILE, schoolId, ownerId, madeAt, attachedAt })
    .from(keptFiles)
    .where(inArray(keptFiles.id, [...ids]))
  return new Map(rows.map((row) => [row.file.id, row]))
}

/** Writes down that files are part of a piece from now on; those that are already stay as they are. */
export async function attachFiles(tx: Connection, ids: readonly FileId[], now: Instant): Promise<void> {
  if (ids.length === 0) return
  await tx
    .update(keptFiles)
    .set({ attachedAt: now })
    .where(and(inArray(keptFiles.id, [...ids]), isNull(attachedAt)))
}

/** The content of a kept file, or null. */
export async function bytesOf(tx: Connection, fileId: FileId): Promise<Uint8Array | null> {
  const [row] = await tx.select({ bytes: keptFiles.bytes }).from(keptFiles).where(eq(keptFiles.id, fileId))
  return row ? new Uint8Array(row.bytes) : null
}

/** Takes a kept file away. */
export async function dropFile(tx: Connection, fileId: FileId): Promise<void> {
  await tx.delete(handedFiles).where(eq(handedFiles.fileId, fileId))
  await tx.delete(keptFiles).where(eq(keptFiles.id, fileId))
}

/** A file that was handed in for a piece. */
export interface HandedFile {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly learnerId: UserId
  readonly fileId: FileId
  readonly handedAt: Instant
}

/** Writes down that a file was handed in. */
export async function addHanded(tx: Connection, handed: HandedFile): Promise<void> {
  await tx.insert(handedFiles).values(handed)
}

/** For what a file was handed in, or null. */
export async function handedAs(tx: Connection, fileId: FileId): Promise<HandedFile | null> {
  const [row] = await tx.select().from(handedFiles).where(eq(handedFiles.fileId, fileId))
  return row ?? null
}

/** What was handed in for a piece, the first one first, with whose it is. */
export async function handedAt(
  tx: Connection,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId },
): Promise<readonly (HandedFile & { readonly file: KeptFile; readonly learnerName: string })[]> {
  const rows = await tx
    .select({ handed: handedFiles, file: FILE, learnerName: users.name })
    .from(handedFiles)
    .innerJoin(keptFiles, eq(keptFiles.id, handedFiles.fileId))
    .innerJoin(users, eq(users.id, handedFiles.learnerId))
    .where(and(eq(handedFiles.assignmentId, of.assignmentId), eq(handedFiles.pieceId, of.pieceId)))
    .orderBy(asc(handedFiles.handedAt), asc(handedFiles.fileId))
  return rows.map(({ handed, file, learnerName }) => ({ ...handed, file, learnerName }))
}
