import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'
import { frontMatter } from './frontMatter'
import { withoutHtml } from './htmlInMarkdown'
import { LONGEST_TEXT, plainReading } from './plainPiece'
import { NO_BOOK } from './types'
import type { ShelfReading, Shortfall } from './types'

/**
 * Reads a text in Markdown as a reading. What stands before it in YAML says its title, minutes, language, grade and
 * standards; else the first heading is its title and does not stand in the text again, or the name of the file is. HTML
 * in it becomes Markdown, what could run is cut. Refused when it is empty or too long.
 */
export function parseReading(text: string, name: string): Result<ShelfReading, FormatRefusal> {
  const source = text.replace(/^\uFEFF/, '').replaceAll('\r\n', '\n')
  if (source.includes('\u0000')) return refuse({ code: 'formats/not-text', field: 'text' })
  if (source.trim() === '') return refuse({ code: 'formats/empty', field: 'text' })
  const { told, unknown, rest } = frontMatter(source)
  const { text: plain, cut } = withoutHtml(rest)
  const [first = '', ...others] = plain.trimStart().split('\n')
  const heading = /^#{1,3}\s(.*)/.exec(first)?.[1]?.trim()
  // a heading that says the title again does not stand in the text
  const isTitle = heading !== undefined && (told.title === undefined || told.title === heading)
  const content = (isTitle ? others.join('\n') : plain).trim()
  if (content.length > LONGEST_TEXT)
    return refuse({ code: 'formats/text-too-long', field: 'text', most: LONGEST_TEXT })
  const title = told.title ?? heading ?? name
  const piece = plainReading({ ...told, title: title || name, content })
  const because: readonly Shortfall[] = [
    ...(cut > 0 ? [{ code: 'could-run', count: cut } as const] : []),
    ...unknown.slice(0, 10).map((of) => ({ code: 'not-here', name: of }) as const),
  ]
  const outcome = because.length === 0 ? 'taken' : 'taken-in-part'
  return ok({
    format: 'markdown',
    title: piece.title,
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces: [piece],
    rows: [{ where: name, what: piece.title, outcome, because }],
  })
}
