import { fileTypeFromBuffer } from 'file-type'
import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { FileSort, LibraryRefusal } from '../library'
import { textOf } from './shelf/archive'

/** What is kept, by media type; what else a file may be is not, whatever its name says. */
const SORTS: Readonly<Record<string, FileSort>> = {
  'image/png': 'picture',
  'image/jpeg': 'picture',
  'image/gif': 'picture',
  'image/webp': 'picture',
  'application/pdf': 'document',
  'application/vnd.openxmlformats-officedocument.wordprocessingml.document': 'document',
  'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet': 'document',
  'application/vnd.openxmlformats-officedocument.presentationml.presentation': 'document',
  'application/vnd.oasis.opendocument.text': 'document',
  'application/vnd.oasis.opendocument.spreadsheet': 'document',
  'application/vnd.oasis.opendocument.presentation': 'document',
  'audio/mpeg': 'sound',
  'audio/wav': 'sound',
  'audio/ogg': 'sound',
  'audio/mp4': 'sound',
  'audio/x-m4a': 'sound',
  'video/mp4': 'film',
  'video/webm': 'film',
}

/**
 * What a file is, told by its content; plain text by its name too. Refused when that cannot be told, or when it is
 * something that may run where it is opened, such as a page or a drawing in SVG.
 */
export async function fileSortOf(
  name: string,
  bytes: Uint8Array,
): Promise<Result<{ readonly sort: FileSort; readonly type: string }, LibraryRefusal>> {
  const unknown = refuse({ code: 'library/unknown-file' as const, field: 'file' as const, name })
  // a damaged file may end before it says what it is
  const type = (await fileTypeFromBuffer(bytes).catch(() => undefined))?.mime
  const sort = type === undefined ? undefined : SORTS[type]
  if (type !== undefined) return sort ? ok({ sort, type }) : unknown
  const text = /\.(?:txt|md|csv)$/i.test(name) ? textOf(bytes) : unknown
  if (!text.ok || text.value.includes('\u0000')) return unknown
  return ok({ sort: 'text', type: 'text/plain; charset=utf-8' })
}
