import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { LONGEST_TEXT, plainReading } from './plainPiece'
import { NO_BOOK } from './types'
import type { ShelfReading } from './types'

/**
 * Reads a text in Markdown as a reading. The first heading is its title and does not stand in the text again; else the
 * name of the file is. Refused when it is empty or too long. HTML in it stays text wherever it is shown.
 */
export function parseReading(text: string, name: string): Result<ShelfReading, FormatRefusal> {
  const source = text.replace(/^\uFEFF/, '').replaceAll('\r\n', '\n')
  if (source.includes('\u0000')) return refuse({ code: 'formats/not-text', field: 'text' })
  if (source.trim() === '') return refuse({ code: 'formats/empty', field: 'text' })
  const [first = '', ...rest] = source.trimStart().split('\n')
  const heading = /^#{1,3}\s(.*)/.exec(first)
  const title = heading?.[1]?.trim() ?? name
  const content = (heading ? rest.join('\n') : source).trim()
  if (content.length > LONGEST_TEXT)
    return refuse({ code: 'formats/text-too-long', field: 'text', most: LONGEST_TEXT })
  const piece = plainReading({ title: title || name, content })
  const row = { where: name, what: piece.title, outcome: 'taken', because: [] } as const
  return ok({
    format: 'markdown',
    title: piece.title,
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces: [piece],
    rows: [row],
  })
}
