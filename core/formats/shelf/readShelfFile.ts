import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { textOf, unpack } from './archive'
import { isCartridge, readCartridge } from './books/cartridge'
import { CONTAINER, readEpub } from './books/epub'
import { isOutline, readOutline } from './books/outlineTable'
import { parseCase } from './caseIn'
import { parseItems } from './itemsCsv'
import { parseReading } from './markdown'
import { xmlOf } from './packageXml'
import { readQtiFile, readQtiPackage } from './qti/package'
import { withoutPictures } from '../../library'
import type { ReadPiece, ShelfReading, ShelfRow } from './types'

/** As large as a file may be, in bytes. */
const LARGEST_FILE = 20_000_000

/**
 * Reads whatever file of those that are known: a package of QTI, an item of it, a framework of standards, a bank of
 * items, a reading, a textbook as EPUB, as cartridge or as an outline. What it is, the file itself says; its name only
 * parts tables from texts.
 */
export function readShelfFile(name: string, bytes: Uint8Array): Result<ShelfReading, FormatRefusal> {
  const read = readFile(name, bytes)
  return read.ok ? ok(withoutItsPictures(read.value)) : read
}

/** Pictures of a file lie elsewhere, and are nothing here: their words stand instead, and what was left out is told. */
function withoutItsPictures(reading: ShelfReading): ShelfReading {
  const rows: ShelfRow[] = []
  const pieces = reading.pieces.map((piece): ReadPiece => {
    let count = 0
    const plain = (text: string) => {
      const without = withoutPictures(text)
      count += without.count
      return without.text
    }
    const content = plain(piece.content)
    const items = piece.items.map((item) => ({
      ...item,
      stem: plain(item.stem) || '…',
      feedback: plain(item.feedback),
      hint: plain(item.hint),
    }))
    if (count === 0) return piece
    const because = [{ code: 'picture-left-out', count } as const]
    rows.push({ where: reading.title, what: piece.title, outcome: 'taken-in-part', because })
    return { ...piece, content, items }
  })
  return rows.length === 0 ? reading : { ...reading, pieces, rows: [...reading.rows, ...rows] }
}

function readFile(name: string, bytes: Uint8Array): Result<ShelfReading, FormatRefusal> {
  if (bytes.length === 0) return refuse({ code: 'formats/empty', field: 'text' })
  if (bytes.length > LARGEST_FILE) return refuse({ code: 'formats/package-too-large', field: 'file' })
  const title =
    name
      .replace(/^.*[\\/]/, '')
      .replace(/\.[A-Za-z0-9]{1,8}$/, '')
      .slice(0, 100) || 'File'
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) return readPackage(bytes, title)
  const text = textOf(bytes)
  if (!text.ok) return text
  const start = text.value.replace(/^\uFEFF/, '').trimStart()
  if (start.startsWith('{')) return parseCase(text.value)
  if (start.startsWith('<')) return readQtiFile(text.value, title)
  if (!/\.(?:csv|tsv|txt)$/i.test(name)) return parseReading(text.value, title)
  return isOutline(text.value) ? readOutline(text.value, title) : parseItems(text.value, title)
}

function readPackage(bytes: Uint8Array, title: string): Result<ShelfReading, FormatRefusal> {
  const files = unpack(bytes, (name) => /\.(?:xml|json|opf|ncx|x?html?)$/i.test(name))
  if (!files.ok) return files
  if (files.value.size === 0) return refuse({ code: 'formats/nothing-known', field: 'file' })
  if (files.value.has(CONTAINER)) return readEpub(files.value, title)
  const manifest = xmlOf(files.value, 'imsmanifest.xml').value
  if (manifest && isCartridge(manifest)) return readCartridge(files.value, manifest, title)
  const [json] = [...files.value].filter(([name]) => name.endsWith('.json'))
  if (files.value.has('imsmanifest.xml') || !json) return readQtiPackage(files.value, title)
  const text = textOf(json[1])
  return text.ok ? parseCase(text.value) : text
}
