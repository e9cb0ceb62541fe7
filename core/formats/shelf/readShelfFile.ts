import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import type { ColumnsChosen } from '../tableSeen'
import { textOf, textOfXml, unpack } from './archive'
import type { Files } from './archive'
import { isCartridge, readCartridge } from './books/cartridge'
import { CONTAINER, readEpub } from './books/epub'
import { isOutline, readOutline } from './books/outlineTable'
import { parseCase } from './caseIn'
import { parseItems } from './itemsCsv'
import { parseReading } from './markdown'
import { MANIFEST, xmlOf } from './packageXml'
import { readQtiFile, readQtiPackage } from './qti/package'
import { IS_READING, readReadings } from './readingsZip'
import { isRoster } from '../roster'
import { withoutPictures } from '../../library'
import type { ReadPiece, ShelfFormat, ShelfReading, ShelfRow } from './types'
import type { Xml } from './xml'

/** As large as a file may be, in bytes. */
const LARGEST_FILE = 20_000_000

/**
 * Reads whatever file of those that are known: a package of QTI, an item of it, a framework of standards, a bank of
 * items, a reading or a zip of them, a textbook as EPUB, as cartridge or as an outline. What it is, the file itself
 * says; its name only parts tables from texts.
 * @param columns of a table, which column is what, where somebody has said so
 */
export function readShelfFile(
  name: string,
  bytes: Uint8Array,
  columns: ColumnsChosen = null,
): Result<ShelfReading, FormatRefusal> {
  const read = readFile(name, bytes, columns)
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

const NOTHING_KNOWN = refuse({ code: 'formats/nothing-known' as const, field: 'file' as const })

/** A single file whose content is words. */
interface TextFile {
  readonly title: string
  readonly text: string
  /** Its first letter that is no space. */
  readonly start: string
  /** Named like a table, or like a reading. */
  readonly isTable: boolean
  readonly isReading: boolean
  readonly columns: ColumnsChosen
}
interface PackageFile {
  readonly title: string
  readonly files: Files
  readonly manifest: Xml | null
}
interface Reads<File> {
  readonly isIt: (file: File) => boolean
  readonly read: (file: File) => Result<ShelfReading, FormatRefusal>
}

/** How each format is known, alone or in a package; they are asked in this order, the most particular first. */
const READERS: Record<
  ShelfFormat,
  { readonly text?: Reads<TextFile>; readonly package?: Reads<PackageFile> }
> = {
  epub: {
    package: {
      isIt: ({ files }) => files.has(CONTAINER),
      read: ({ files, title }) => readEpub(files, title),
    },
  },
  cartridge: {
    package: {
      isIt: ({ manifest }) => manifest !== null && isCartridge(manifest),
      read: ({ files, manifest, title }) =>
        manifest ? readCartridge(files, manifest, title) : NOTHING_KNOWN,
    },
  },
  case: {
    text: {
      isIt: ({ start, isReading }) => start === '{' && !isReading,
      read: ({ text }) => parseCase(text),
    },
    package: {
      isIt: ({ files }) => !files.has(MANIFEST) && jsonIn(files) !== undefined,
      read: ({ files }) => {
        const text = textOf(jsonIn(files) ?? new Uint8Array())
        return text.ok ? parseCase(text.value) : text
      },
    },
  },
  qti: {
    text: {
      isIt: ({ start, isReading }) => start === '<' && !isReading,
      read: ({ text, title }) => readQtiFile(text, title),
    },
    package: {
      isIt: ({ files }) => [...files.keys()].some((name) => name.endsWith('.xml')),
      read: ({ files, title }) => readQtiPackage(files, title),
    },
  },
  outline: {
    text: {
      isIt: ({ isTable, text, columns }) => isTable && columns === null && isOutline(text),
      read: ({ text, title }) => readOutline(text, title),
    },
  },
  'items-csv': {
    text: {
      isIt: ({ isTable }) => isTable,
      read: ({ text, title, columns }) => parseItems(text, title, columns),
    },
  },
  markdown: {
    text: { isIt: () => true, read: ({ text, title }) => parseReading(text, title) },
    package: {
      isIt: ({ files }) => [...files.keys()].some((name) => IS_READING.test(name)),
      read: ({ files, title }) => readReadings(files, title),
    },
  },
}

function jsonIn(files: Files): Uint8Array | undefined {
  return [...files].find(([name]) => name.endsWith('.json'))?.[1]
}

function readFile(
  name: string,
  bytes: Uint8Array,
  columns: ColumnsChosen,
): Result<ShelfReading, FormatRefusal> {
  if (bytes.length === 0) return refuse({ code: 'formats/empty', field: 'text' })
  if (bytes.length > LARGEST_FILE) return refuse({ code: 'formats/package-too-large', field: 'file' })
  const isPackage = bytes[0] === 0x50 && bytes[1] === 0x4b
  return isPackage ? readPackage(bytes, titleOf(name)) : readText(name, bytes, columns)
}

/** The name without its folders and its ending. */
function titleOf(name: string): string {
  const last = name.replace(/^.*[\\/]/, '').replace(/\.[A-Za-z0-9]{1,8}$/, '')
  return last.slice(0, 100) || 'File'
}

function readText(
  name: string,
  bytes: Uint8Array,
  columns: ColumnsChosen,
): Result<ShelfReading, FormatRefusal> {
  const text = /\.xml$/i.test(name) ? textOfXml(bytes) : textOf(bytes)
  if (!text.ok) return text
  const start = text.value
    .replace(/^\uFEFF/, '')
    .trimStart()
    .charAt(0)
  const isTable = /\.(?:csv|tsv|txt)$/i.test(name)
  const isReading = /\.(?:md|markdown)$/i.test(name)
  const file = { title: titleOf(name), text: text.value, start, isTable, isReading, columns }
  const place = placeFor(file)
  if (place !== null) return refuse({ code: 'formats/read-elsewhere', field: 'file', place })
  return read(file, (of) => of.text)
}

/** Where a file is read that is nothing for the shelf; null: here. */
function placeFor({ text, isTable, columns }: TextFile): 'calendar' | 'roster' | null {
  if (/^\uFEFF?\s{0,20}BEGIN:VCALENDAR/i.test(text)) return 'calendar'
  return isTable && columns === null && !isOutline(text) && isRoster(text) ? 'roster' : null
}

function readPackage(bytes: Uint8Array, title: string): Result<ShelfReading, FormatRefusal> {
  const files = unpack(bytes, (name) => /\.(?:xml|json|opf|ncx|x?html?|md|markdown)$/i.test(name))
  if (!files.ok) return files
  if (files.value.size === 0) return NOTHING_KNOWN
  const manifest = xmlOf(files.value, MANIFEST).value ?? null
  return read({ title, files: files.value, manifest }, (of) => of.package)
}

/** Reads a file as the first format that it is. */
function read<File>(
  file: File,
  readsOf: (of: (typeof READERS)[ShelfFormat]) => Reads<File> | undefined,
): Result<ShelfReading, FormatRefusal> {
  const known = Object.values(READERS).flatMap((of) => readsOf(of) ?? [])
  const reader = known.find((reads) => reads.isIt(file))
  return reader ? reader.read(file) : NOTHING_KNOWN
}
