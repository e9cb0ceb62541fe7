import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { readTable } from '../table'
import { textOf, unpack } from '../shelf/archive'

/** A text that was written elsewhere, and by whose name it came. */
export interface TextFound {
  /** The file, and within a table its line. */
  readonly where: string
  readonly who: string
  readonly text: string
}
/** What is not taken over, and why. */
export interface TextLeftOut {
  readonly where: string
  readonly why: 'not-text' | 'empty' | 'too-long' | 'no-name' | 'no-table'
}
export interface TextsRead {
  readonly texts: readonly TextFound[]
  readonly leftOut: readonly TextLeftOut[]
}

/** As long as one text may be, in letters. */
const MOST_LETTERS = 20_000
const MOST_TEXTS = 400
/** A cell that is longer is no text that was pasted too long, but a quote without its end. */
const MOST_IN_CELL = 10 * MOST_LETTERS
const COLUMNS = { who: ['learner', 'name', 'who', 'student', 'pupil'], text: ['text', 'answer', 'writing'] }

/**
 * Reads texts of learners out of a file: a text named by its learner, a zip of such texts, or a table (CSV) with the
 * columns `learner` and `text`. What is no text, empty or over 20,000 letters is left out and named. Refused when
 * nothing of the file can be read, or when there are more than 400 texts.
 */
export function readTexts(name: string, bytes: Uint8Array): Result<TextsRead, FormatRefusal> {
  const isPackage = bytes[0] === 0x50 && bytes[1] === 0x4b
  const read = isPackage ? ofPackage(bytes) : ofOne(name, bytes)
  if (!read.ok) return read
  const { texts, leftOut } = read.value
  if (texts.length > MOST_TEXTS)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count: texts.length, most: MOST_TEXTS })
  return texts.length + leftOut.length === 0 ? refuse({ code: 'formats/empty', field: 'text' }) : read
}

function ofPackage(bytes: Uint8Array): Result<TextsRead, FormatRefusal> {
  // programs put notes of their own beside the files
  const files = unpack(bytes, (file) => !/(?:^|\/)(?:__MACOSX|\.)/.test(file))
  if (!files.ok) return files
  const all = [...files.value].map(([file, content]) => {
    const read = ofOne(file, content)
    return read.ok ? read.value : leaving(lastOf(file), 'no-table')
  })
  return ok({ texts: all.flatMap((r) => r.texts), leftOut: all.flatMap((r) => r.leftOut) })
}

const lastOf = (path: string) => path.split('/').at(-1) ?? path
const leaving = (where: string, why: TextLeftOut['why']): TextsRead => ({
  texts: [],
  leftOut: [{ where, why }],
})

function ofOne(name: string, bytes: Uint8Array): Result<TextsRead, FormatRefusal> {
  const text = textOf(bytes)
  const where = lastOf(name)
  if (!text.ok || text.value.includes('\u0000')) return ok(leaving(where, 'not-text'))
  if (/\.csv$/i.test(name)) return ofTable(where, text.value)
  return ok(sorted([{ where, who: where.replace(/\.[^.]*$/, ''), text: text.value }]))
}

function ofTable(name: string, source: string): Result<TextsRead, FormatRefusal> {
  const reading = { columns: COLUMNS, needed: ['who', 'text'] as const, mostInCell: MOST_IN_CELL }
  const table = readTable<keyof typeof COLUMNS>(source, reading)
  if (!table.ok) return table
  const { at, rows } = table.value
  const { who, text } = at
  if (who === undefined || text === undefined)
    return refuse({ code: 'formats/no-text-headings', field: 'text' })
  return ok(
    sorted(
      // a text may begin with any sign, and stays as it was written
      rows.map(({ cells, cell }, i) => ({
        where: `${name}, row ${i + 2}`,
        who: cell('who'),
        text: cells[text] ?? '',
      })),
    ),
  )
}

function sorted(found: readonly TextFound[]): TextsRead {
  const why = ({ who, text }: TextFound): TextLeftOut['why'] | null => {
    if (text.trim() === '') return 'empty'
    if (text.length > MOST_LETTERS) return 'too-long'
    return who === '' ? 'no-name' : null
  }
  return {
    texts: found.filter((f) => why(f) === null).map((f) => ({ ...f, text: f.text.trim() })),
    leftOut: found.flatMap((f) => {
      const reason = why(f)
      return reason ? [{ where: f.where, why: reason }] : []
    }),
  }
}
