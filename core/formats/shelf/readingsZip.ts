import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { textOf } from './archive'
import type { Files } from './archive'
import { placeAddress, withInnerLinks } from './books/innerLinks'
import type { Place } from './books/innerLinks'
import { folderOf, placeOf } from './books/path'
import { parseReading } from './markdown'
import { NO_BOOK } from './types'
import type { ReadPiece, ShelfReading, ShelfRow } from './types'

/** The name of a reading within a package. */
export const IS_READING = /\.(?:md|markdown)$/i
/** A link without a scheme: to a file beside it. */
const BESIDE = /(?<!!)\[((?:[^[\]\\]|\\.)*)\]\(([^()\s:]{1,300})\)/g

/**
 * Readings in Markdown in a zip, by the order of their names; links from one to another lead to what it becomes. One
 * that cannot be read is named and left out. Refused where none is left.
 */
export function readReadings(files: Files, name: string): Result<ShelfReading, FormatRefusal> {
  const paths = [...files.keys()].filter((path) => IS_READING.test(path)).sort((a, b) => (a < b ? -1 : 1))
  const pieces: ReadPiece[] = []
  const rows: ShelfRow[] = []
  const beginsAt = new Map<ReadPiece, Place>()
  for (const path of paths) {
    const text = textOf(files.get(path) ?? new Uint8Array())
    const read = text.ok ? parseReading(withPlaces(text.value, path, files), nameOf(path)) : text
    if (!read.ok) {
      const because = [{ code: 'not-readable', problem: read.error.code } as const]
      rows.push({ where: path, what: '', outcome: 'refused', because })
      continue
    }
    rows.push(...read.value.rows.map((row) => ({ ...row, where: path })))
    for (const piece of read.value.pieces) {
      pieces.push(piece)
      beginsAt.set(piece, { path, at: '' })
    }
  }
  if (pieces.length === 0) return refuse({ code: 'formats/nothing-known', field: 'file' })
  return ok({
    format: 'markdown',
    title: name,
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces: withInnerLinks(pieces, beginsAt),
    rows,
  })
}

const nameOf = (path: string) => path.slice(folderOf(path).length).replace(IS_READING, '').slice(0, 100)

/** A text whose links to other readings of the package are places; of links to other files the words stay. */
function withPlaces(text: string, path: string, files: Files): string {
  return text.replace(BESIDE, (link, words: string, href: string) => {
    const place = placeOf(href.startsWith('#') ? path : folderOf(path), href)
    if (IS_READING.test(place.path) && files.has(place.path)) return `[${words}](${placeAddress(place)})`
    return href.startsWith('/') ? link : words
  })
}
