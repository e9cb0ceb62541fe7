import { toMarkdown } from './html'

/** What is never taken over with what is in it. */
const SILENT = ['script', 'style', 'iframe', 'object', 'form', 'video', 'audio', 'template', 'svg'] as const
/** Code within a line, and where a fence begins or ends: what looks like HTML in them is a text about it. */
const IN_LINE = /`[^`\n]+`/g
const FENCE = /^ {0,3}(?:```|~~~)/
/** Tags that go while their words stay; what else looks like one is a text, such as `a <b and c> d`. */
const TAGS: ReadonlySet<string> = new Set(
  [
    'a abbr address article aside b big blockquote body br center cite code dd del details dfn div',
    'dl dt em figcaption figure font footer h1 h2 h3 h4 h5 h6 head header hr html i img input ins',
    'kbd li link main mark meta nav ol p pre q s samp section small span strike strong sub summary',
    'sup table tbody td tfoot th thead time tr u ul var wbr',
  ].flatMap((names) => names.split(' ')),
)
const TAG = /<\/?[A-Za-z][\w-]*(?:\s[^<>]*)?\/?>|<!--/
const COMMENT = /<!--(?:(?!-->)(?!<!--)[\s\S])*-->/g
const BLOCK = /<(table|ul|ol|dl|figure|details|blockquote|pre)\b[^<>]*>/i

export interface PlainMarkdown {
  readonly text: string
  /** Parts that could run or show something from elsewhere, and were cut. */
  readonly cut: number
}

/**
 * Markdown in which HTML is Markdown, too: emphasis, links, lists and tables are kept, what could run is cut with what
 * is in it, and other tags go while their words stay. Code is left as it is.
 */
export function withoutHtml(markdown: string): PlainMarkdown {
  if (!TAG.test(markdown)) return { text: markdown, cut: 0 }
  const kept: string[] = []
  const aside = (code: string) => `\uE000${kept.push(code) - 1}\uE001`
  const plain = withoutFences(markdown, aside).replace(IN_LINE, aside)
  let cut = 0
  const silenced = SILENT.reduce(
    (text, name) => {
      const parts = withoutElement(text, name)
      cut += parts.count
      return parts.text
    },
    plain.replace(COMMENT, ''),
  )
  const text = blocksAsMarkdown(silenced)
    .replace(/<br\s{0,5}\/?>/gi, '\n')
    .replace(/<\/?(?:b|strong)>/gi, '**')
    .replace(/<\/?(?:i|em)>/gi, '*')
    .replace(/<a\s[^<>]*>[^<]*<\/a>|<img\s[^<>]*>/gi, (element) => toMarkdown(element)?.text ?? '')
    .replace(/<\/?([A-Za-z][\w-]*)(?:\s[^<>]*)?\/?>/g, (tag, name: string) =>
      TAGS.has(name.toLowerCase()) ? '' : tag,
    )
  return { text: text.replace(/\uE000(\d{1,6})\uE001/g, (_, at: string) => kept[Number(at)] ?? ''), cut }
}

/** A text with each fence of code put aside, from its first line to its last. */
function withoutFences(markdown: string, aside: (code: string) => string): string {
  const lines: string[] = []
  let fence: string[] | null = null
  for (const line of markdown.split('\n')) {
    const isFence = FENCE.test(line)
    if (fence === null && !isFence) lines.push(line)
    else (fence ??= []).push(line)
    if (fence !== null && fence.length > 1 && isFence) {
      lines.push(aside(fence.join('\n')))
      fence = null
    }
  }
  return [...lines, ...(fence === null ? [] : [aside(fence.join('\n'))])].join('\n')
}

/** A text without the elements of a name, from where each begins to where it ends, or to the end of the text. */
function withoutElement(text: string, name: string): { readonly text: string; readonly count: number } {
  const lower = text.toLowerCase()
  const parts: string[] = []
  let [at, count] = [0, 0]
  for (;;) {
    const start = nextStart(lower, name, at)
    if (start < 0) return { text: parts.join('') + text.slice(at), count }
    parts.push(text.slice(at, start))
    const end = lower.indexOf(`</${name}`, start)
    const close = end < 0 ? -1 : lower.indexOf('>', end)
    at = close < 0 ? text.length : close + 1
    count++
  }
}

function nextStart(lower: string, name: string, from: number): number {
  let at = lower.indexOf(`<${name}`, from)
  while (at >= 0 && /[\w-]/.test(lower.charAt(at + name.length + 1))) at = lower.indexOf(`<${name}`, at + 1)
  return at
}

/** Blocks of HTML as blocks of Markdown, each as a whole. */
function blocksAsMarkdown(text: string): string {
  const parts: string[] = []
  let rest = text
  for (;;) {
    const found = BLOCK.exec(rest)
    const name = found?.[1]?.toLowerCase()
    const end = found && name ? endOf(rest, name, found.index) : -1
    if (!found || end < 0) return parts.join('') + rest
    parts.push(rest.slice(0, found.index), `\n\n${toMarkdown(rest.slice(found.index, end))?.text ?? ''}\n\n`)
    rest = rest.slice(end)
  }
}

/** Where an element ends that begins at a place, those of its own name within it counted; -1: nowhere. */
function endOf(text: string, name: string, from: number): number {
  const tags = new RegExp(`<(/?)${name}\\b[^<>]*>`, 'gi')
  tags.lastIndex = from
  let depth = 0
  for (let tag = tags.exec(text); tag; tag = tags.exec(text)) {
    depth += tag[1] === '/' ? -1 : 1
    if (depth === 0) return tags.lastIndex
  }
  return -1
}
