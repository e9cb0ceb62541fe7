import TurndownService from 'turndown'
import { isWebAddress } from '../../library'

/** A text of a page in Markdown, and how many pictures were left out of it. */
export interface PageText {
  readonly text: string
  readonly pictures: number
}

/** As much of an element as is looked at here. */
interface Node {
  readonly nodeName: string
  readonly getAttribute: (name: string) => string | null
}

/** Longer pages are not read: no chapter is, and reading takes its time. */
const LONGEST_PAGE = 2_000_000
/** What of a page is never taken over with what is in it. */
const SILENT: ReadonlySet<string> = new Set([
  'script',
  'style',
  'svg',
  'math',
  'iframe',
  'object',
  'video',
  'audio',
  'form',
  'template',
])
/** Elements that have no end of their own. */
const VOID = /^(?:area|base|br|col|embed|hr|img|input|link|meta|source|track|wbr)$/i
/** Any picture, with or without words of its own. */
const PICTURE = /<(?:img|image|svg)\b/gi

/**
 * A page of HTML or XHTML as Markdown: headings, emphasis, lists, tables, quotations and https addresses; nothing of
 * it that could run. Null when it is too long or too deep to be read.
 */
export function toMarkdown(page: string): PageText | null {
  const body = bodyOf(page)
  if (body.length > LONGEST_PAGE) return null
  try {
    return { text: service().turndown(closed(body)).trim(), pictures: body.match(PICTURE)?.length ?? 0 }
  } catch {
    return null
  }
}

function service(): TurndownService {
  const made = new TurndownService({
    headingStyle: 'atx',
    bulletListMarker: '-',
    codeBlockStyle: 'fenced',
    emDelimiter: '*',
  })
  made.addRule('cell', { filter: ['td', 'th'], replacement: (text) => ` ${asCell(text)} |` })
  made.addRule('row', { filter: 'tr', replacement: (text) => `\n|${text}\n` })
  made.addRule('table', { filter: 'table', replacement: asTable })
  made.remove((node) => SILENT.has((node as Node).nodeName.toLowerCase()))
  made.addRule('picture', { filter: 'img', replacement: (_, node) => wordsOf(node) })
  made.addRule('address', {
    filter: 'a',
    replacement: (text, node) => linked(text, (node as Node).getAttribute('href') ?? ''),
  })
  const escape = made.escape.bind(made)
  // a single dollar sign would begin a formula
  made.escape = (text) => escape(text).replaceAll('$', '\\$')
  return made
}

/** What stands in a cell, on one line. */
function asCell(text: string): string {
  return text.replace(/\s+/g, ' ').trim().replaceAll('|', '\\|')
}

/** Rows with pipes, the first one as the head: Markdown knows no table without one. */
function asTable(text: string): string {
  const [head, ...rows] = text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line.startsWith('|'))
  if (head === undefined) return text
  const columns = head.replaceAll('\\|', '').split('|').length - 2
  return `\n\n${[head, `|${' --- |'.repeat(columns)}`, ...rows].join('\n')}\n\n`
}

function wordsOf(node: unknown): string {
  const alt = (node as Node).getAttribute('alt')?.trim() ?? ''
  return alt === '' ? '' : `(picture: ${alt.replace(/\s+/g, ' ')})`
}

function linked(text: string, href: string): string {
  return isWebAddress(href) && text.trim() !== '' ? `[${text.trim()}](${encodeURI(decoded(href))})` : text
}

/** A name as it is meant: without percent signs for letters, where they can be read. */
export function decoded(name: string): string {
  try {
    return decodeURIComponent(name)
  } catch {
    return name
  }
}

/** What stands in a page's body; all of it, where it has none. */
function bodyOf(page: string): string {
  const start = page.search(/<body[\s>]/i)
  if (start < 0) return page
  const end = page.toLowerCase().lastIndexOf('</body')
  return page.slice(page.indexOf('>', start) + 1, end < start ? undefined : end)
}

/** XHTML closes empty elements by a stroke, which HTML does not know: `<a id="x"/>` would hold all that follows. */
function closed(xhtml: string): string {
  return xhtml.replace(/<([A-Za-z][\w:-]*)((?:\s[^<>]*)?)\/>/g, (whole, name: string, rest: string) =>
    VOID.test(name) ? whole : `<${name}${rest}></${name}>`,
  )
}
