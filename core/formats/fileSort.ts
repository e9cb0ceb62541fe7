import { fileTypeFromBuffer } from 'file-type'
import { ok, refuse } from '../base'
import type { Result } from '../base'
import { KEPT_TYPES, TEXT_NAMES } from '../library'
import type { FileSort, LibraryRefusal } from '../library'
import { textOf } from './shelf/archive'

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
  const sort = type === undefined ? undefined : KEPT_TYPES[type]
  if (type !== undefined) return sort ? ok({ sort, type }) : unknown
  const isNamedText = TEXT_NAMES.some((ending) => name.toLowerCase().endsWith(ending))
  const text = isNamedText ? textOf(bytes) : unknown
  if (!text.ok || text.value.includes('\u0000')) return unknown
  return ok({ sort: 'text', type: 'text/plain; charset=utf-8' })
}
