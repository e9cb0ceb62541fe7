import { MathMLToLaTeX } from 'mathml-to-latex'
import TurndownService from 'turndown'
import { isWebAddress } from '../../library'
import { asCell, asTable } from './htmlTables'

/** A text of a page in Markdown, how many pictures were left out of it, and how many parts that could run. */
export interface PageText {
  readonly text: string
  readonly pictures: number
  readonly cut: number
}
/** Where a link leads that leads to no address of the web; null: nowhere. */
type LeadsTo = (href: string) => string | null

/** As much of an element as is looked at here. */
interface Node {
  readonly nodeName: string
  readonly outerHTML: string
  readonly getAttribute: (name: string) => string | null
}
const asNode = (node: unknown) => node as Node

/** Longer pages are not read: no chapter is, and reading takes its time. */
const LONGEST_PAGE = 2_000_000
/** What of a page is never taken over with what is in it. */
const SILENT: ReadonlySet<string> = new Set([
  'script',
  'style',
  'iframe',
  'object',
  'video',
  'audio',
  'form',
  'template',
])
/** Of those, what could run or shows something from elsewhere: that it was cut is said. */
const COULD_RUN = /<(?:script|iframe|object|video|audio|form)\b/gi
/** Elements that have no end of their own. */
const VOID = /^(?:area|base|br|col|embed|hr|img|input|link|meta|source|track|wbr)$/i
/** Any picture, with or without words of its own. */
const PICTURE = /<(?:img|image|svg)\b/gi

/**
 * A page of HTML or XHTML as Markdown: headings, emphasis, lists, tables, quotations and https addresses; nothing of
 * it that could run. Null when it is too long or too deep to be read.
 */
export function toMarkdown(page: string, leadsTo: LeadsTo = () => null): PageText | null {
  const body = bodyOf(page)
  if (body.length > LONGEST_PAGE || isDeep(body)) return null
  const countOf = (pattern: RegExp) => body.match(pattern)?.length ?? 0
  try {
    const text = service(leadsTo)
      .turndown(closed(drawingsAsPictures(body)))
      .trim()
    return { text, pictures: countOf(PICTURE), cut: countOf(COULD_RUN) }
  } catch {
    return null
  }
}

/** No page of words has so many elements within each other; to build them takes time by their square. */
const DEEPEST = 500
const TAG = /<(\/?)([A-Za-z][\w:-]*)([^<>\w:-][^<>]*)?>/g
/** Elements that end by themselves where the next one of their kind begins. */
const ENDS_ITSELF = /^(?:p|li|d[td]|t[rdh]|thead|tbody|tfoot|option|optgroup|colgroup|rt|rp)$/i

function isDeep(body: string): boolean {
  let depth = 0
  for (const [, isEnd, name = '', rest = ''] of body.matchAll(TAG)) {
    if (VOID.test(name) || ENDS_ITSELF.test(name) || rest.endsWith('/')) continue
    depth = Math.max(0, depth + (isEnd === '/' ? -1 : 1))
    if (depth > DEEPEST) return true
  }
  return false
}

function service(leadsTo: LeadsTo): TurndownService {
  const made = new TurndownService({
    headingStyle: 'atx',
    bulletListMarker: '-',
    codeBlockStyle: 'fenced',
    emDelimiter: '*',
  })
  made.addRule('cell', {
    filter: ['td', 'th'],
    replacement: (text, node) => {
      const cell = asNode(node)
      return asCell(text, { columns: cell.getAttribute('colspan'), rows: cell.getAttribute('rowspan') })
    },
  })
  made.addRule('row', { filter: 'tr', replacement: (text) => `\n|${text}\n` })
  made.addRule('table', { filter: 'table', replacement: asTable })
  made.remove((node) => SILENT.has(asNode(node).nodeName.toLowerCase()))
  made.addRule('picture', {
    filter: 'img',
    replacement: (_, node) => wordsOf(asNode(node).getAttribute('alt')),
  })
  made.addRule('formula', {
    filter: (node) => /^math$/i.test(node.nodeName),
    replacement: (_, node) => formulaOf(asNode(node).outerHTML),
  })
  made.addRule('address', {
    filter: 'a',
    replacement: (text, node) => linked(text, asNode(node).getAttribute('href') ?? '', leadsTo),
  })
  const escape = made.escape.bind(made)
  // a single dollar sign would begin a formula
  made.escape = (text) => escape(text).replaceAll('$', '\\$')
  return made
}

/** A picture by its words; one that says that it has none is an ornament. */
function wordsOf(alt: string | null): string {
  if (alt === null) return '(picture)'
  const words = alt.replace(/\s+/g, ' ').trim()
  return words === '' ? '' : `(picture: ${words})`
}

/** Drawings within a page as pictures, with their titles as their words. */
function drawingsAsPictures(page: string): string {
  const [before = '', ...drawings] = page.split(/<svg\b/i)
  const after = drawings.map((drawing) => {
    const end = drawing.search(/<\/svg\s*>/i)
    const title = /<title\b[^<>]*>([^<]*)</i.exec(drawing)?.[1]?.trim() ?? ''
    const words = title === '' ? '' : ` alt="${title.replaceAll('"', '&quot;')}"`
    return `<img${words}>${end < 0 ? '' : drawing.slice(drawing.indexOf('>', end) + 1)}`
  })
  return [before, ...after].join('')
}

/** A formula in MathML as TeX between dollar signs: its own note of it, where it has one. */
function formulaOf(math: string): string {
  const note = /<annotation\b[^<>]*tex["'][^<>]*>([^<]*)</i.exec(math)?.[1]
  const tex = (note ?? MathMLToLaTeX.convert(math)).trim().replaceAll('$', '')
  return tex === '' ? '' : `$${tex}$`
}

function linked(text: string, href: string, leadsTo: LeadsTo): string {
  const address = isWebAddress(href) ? encodeURI(decoded(href)) : leadsTo(href)
  return address !== null && text.trim() !== '' ? `[${text.trim()}](${address})` : text
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
