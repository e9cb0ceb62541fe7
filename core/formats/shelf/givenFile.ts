import { fileTypeFromBuffer } from 'file-type'
import { refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import type { ColumnsChosen } from '../tableSeen'
import { readShelfFile } from './readShelfFile'
import type { ShelfReading } from './types'

/** Sorts of files by their usual endings: those that are read here, and how each begins. */
const READ = new Set(['zip', 'epub', 'xml', 'ics'])
const PACKAGES = new Set(['zip', 'epub', 'imscc'])
const TEXTS = new Set(['csv', 'tsv', 'txt', 'md', 'markdown', 'json', 'xml'])
const BEGINS: Readonly<Record<string, RegExp>> = { json: /^\s*[{[]/, xml: /^\s*</ }

/**
 * Reads a file that somebody gives, as `readShelfFile` does. Refused, with what its name says and what it is, where the
 * two differ, and where it is something that is not read here.
 */
export async function readGivenFile(
  name: string,
  bytes: Uint8Array,
  columns: ColumnsChosen = null,
): Promise<Result<ShelfReading, FormatRefusal>> {
  const named = /\.([A-Za-z0-9]{1,8})$/.exec(name)?.[1]?.toLowerCase() ?? ''
  // a damaged file may end before it says what it is
  const told = (await fileTypeFromBuffer(bytes).catch(() => undefined))?.ext
  const isPackage = bytes[0] === 0x50 && bytes[1] === 0x4b
  const is = told ?? (isPackage ? 'zip' : 'text')
  const isOther =
    (told !== undefined && !READ.has(told)) ||
    (PACKAGES.has(named) && !isPackage) ||
    (TEXTS.has(named) && isPackage) ||
    !beginsAs(named, bytes)
  if (isOther && bytes.length > 0) return refuse({ code: 'formats/other-file', field: 'file', named, is })
  return readShelfFile(name, bytes, columns)
}

function beginsAs(named: string, bytes: Uint8Array): boolean {
  const pattern = BEGINS[named]
  const isWide = bytes[0] === 0xff || bytes[0] === 0xfe
  const start = new TextDecoder(isWide ? (bytes[0] === 0xff ? 'utf-16le' : 'utf-16be') : 'utf-8')
  return pattern?.test(start.decode(bytes.subarray(0, 200))) ?? true
}
