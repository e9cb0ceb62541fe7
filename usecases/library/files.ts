import { asId, ok, refuse } from '#core/base'
import type { ComputeRefusal, FileId, Instant, Result } from '#core/base'
import { isTeacher } from '#core/access'
import type { AccessRefusal, Actor, Teacher } from '#core/access'
import { MOST_KEPT_BYTES, picturesIn, textsOf } from '#core/library'
import type { KeptFile, LibraryRefusal, Resource } from '#core/library'
import { addFile, attachFiles, bytesOf, filesById, handedAs, learnerWorkOf } from '#db/repositories'
import type { Connection, FileRecord } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from '../settling/givenPiece'
import { isAmong } from '../settling/team'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import type { FileToRead } from './imports'

export type FileRefusal = AccessRefusal | LibraryRefusal | ComputeRefusal

/**
 * A file as it was sent, with what it is by its content. Refused when it is too large or of a kind that is not kept.
 */
export async function readFileSent(
  deps: Pick<Deps, 'heavy' | 'ids' | 'clock'>,
  actor: Actor,
  sent: FileToRead,
): Promise<Result<{ readonly record: FileRecord; readonly bytes: Uint8Array }, FileRefusal>> {
  const bytes = new Uint8Array(Buffer.from(sent.base64, 'base64'))
  const name = plainNameOf(sent.name)
  if (bytes.length === 0 || bytes.length > MOST_KEPT_BYTES)
    return refuse({ code: 'library/unknown-file', field: 'file', name })
  const read = await deps.heavy.run('fileSort', name, bytes)
  if (!read.ok) return read
  if (!read.value.ok) return read.value
  const file: KeptFile = {
    id: asId<FileId>(deps.ids.newId()),
    name,
    size: bytes.length,
    ...read.value.value,
  }
  const { schoolId, userId } = actor
  const madeAt = deps.clock.now()
  return ok({ record: { file, schoolId, ownerId: userId, madeAt, attachedAt: null }, bytes })
}

/** The name of a file without the folders before it and without signs that no name has. */
function plainNameOf(name: string): string {
  const last = name.replace(/^.*[\\/]/, '').replace(/[\u0000-\u001f\u007f"<>|?*:]/g, '')
  return last.trim().slice(-120) || 'file'
}

/** Keeps a teacher's file for pieces of theirs: a picture, a sheet, a recording. */
export async function keepFile(
  deps: Deps,
  actor: Teacher,
  sent: FileToRead,
): Promise<Result<KeptFile, FileRefusal>> {
  const read = await readFileSent(deps, actor, sent)
  if (!read.ok) return read
  return writing(deps.store, async (tx): Promise<Result<KeptFile, FileRefusal>> => {
    await addFile(tx, read.value.record, read.value.bytes)
    return ok(read.value.record.file)
  })
}

/**
 * The content of a kept file. Pieces' files are open to the school whose they are; what a learner handed in, to them,
 * to their team and to who teaches their class; what is part of nothing yet, to who sent it. To anybody else it is not
 * found.
 */
export async function showFile(
  deps: Pick<Deps, 'store'>,
  actor: Actor,
  fileId: FileId,
): Promise<Result<{ readonly file: KeptFile; readonly bytes: Uint8Array }, AccessRefusal>> {
  const tx = deps.store.read
  const record = (await filesById(tx, [fileId])).get(fileId)
  const bytes = record && (await maySee(tx, actor, record)) ? await bytesOf(tx, fileId) : null
  return record && bytes
    ? ok({ file: record.file, bytes })
    : refuse({ code: 'access/not-found', what: 'file' })
}

async function maySee(
  tx: Connection,
  actor: Actor,
  { file, ownerId, schoolId, attachedAt }: FileRecord,
): Promise<boolean> {
  if (schoolId !== actor.schoolId) return false
  if (ownerId === actor.userId || attachedAt !== null) return true
  const handed = await handedAs(tx, file.id)
  if (!handed) return false
  if (!isTeacher(actor)) return isAmong((await givenPiece(tx, handed)).teams, actor.userId, ownerId)
  const rows = await learnerWorkOf(tx, [handed.assignmentId])
  const row = rows.find((r) => r.learnerId === ownerId && r.pieceId === handed.pieceId)
  return row !== undefined && (await classFor(tx, actor, row.classId, 'see')).ok
}

/**
 * The piece with its files as they are kept, whatever was said of them; they are part of a piece from now on. Refused
 * when one of them, or of the pictures in its texts, is neither the actor's own nor part of a piece of their school:
 * what a learner handed in is not.
 */
export async function withKeptFiles<P extends Pick<Resource, 'content' | 'items' | 'material'>>(
  tx: Connection,
  actor: Actor,
  piece: P,
  now: Instant,
): Promise<Result<P, LibraryRefusal>> {
  const asked = piece.material.files
  const pictures = textsOf(piece).flatMap(picturesIn)
  const known = await filesById(tx, [...asked.map((f) => f.id), ...pictures])
  const isOpen = (id: FileId) => {
    const record = known.get(id)
    if (record?.schoolId !== actor.schoolId) return false
    return record.ownerId === actor.userId || record.attachedAt !== null
  }
  const isPicture = (id: FileId) => isOpen(id) && known.get(id)?.file.sort === 'picture'
  const missing = asked.find((f) => !isOpen(f.id))?.name ?? pictures.find((id) => !isPicture(id))
  if (missing !== undefined) return refuse({ code: 'library/unknown-file', field: 'file', name: missing })
  await attachFiles(tx, [...known.keys()], now)
  const files = asked.flatMap((f) => known.get(f.id)?.file ?? [])
  return ok({ ...piece, material: { ...piece.material, files } })
}
