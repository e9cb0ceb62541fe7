import type MarkdownIt from 'markdown-it'
import type { LegendEntry, Mark } from '#core/versions'
import { markdown } from './markdown'

/** What is marked in a text, and what its marks stand for. */
export interface Marked {
  readonly marks: readonly Mark[]
  readonly legend: readonly LegendEntry[]
}
type Token = ReturnType<MarkdownIt['parse']>[number]
type TokenClass = new (type: string, tag: string, nesting: -1 | 0 | 1) => Token

/** Words of a block to be wrapped, as places in its text. */
interface Span {
  readonly start: number
  readonly end: number
  readonly entry: LegendEntry
}

markdown.core.ruler.after('inline', 'marked', (state) => {
  const { marks, legend } = (state.env as { marked?: Marked }).marked ?? { marks: [], legend: [] }
  if (marks.length === 0) return
  const seen = new Map<Mark, number>()
  for (const token of state.tokens) {
    if (token.type === 'inline' && token.children)
      token.children = withMarks(
        token.children,
        spansIn(textOf(token.children), marks, legend, seen),
        state.Token,
      )
  }
})
markdown.renderer.rules.marked = (tokens, at) => {
  const token = tokens[at]
  const { look, name, isLast } = token?.meta as { look: string; name: string; isLast: boolean }
  const words = markdown.utils.escapeHtml(token?.content ?? '')
  const label = isLast ? ` data-name="${markdown.utils.escapeHtml(name)}"` : ''
  return `<mark data-look="${look}"${label}>${words}</mark>`
}

/** Markdown to HTML with its marked passages; marks whose words are not there are left out. */
export function toMarkedHtml(text: string, marked: Marked | null): string {
  return marked === null ? markdown.render(text) : markdown.render(text, { marked })
}

/** The text of a block as it is read: what cannot be marked keeps its place. */
function textOf(children: readonly Token[]): string {
  return children.map(partOf).join('')
}
function partOf({ type, content }: Token): string {
  if (type === 'text' || type === 'code_inline') return content
  if (type === 'softbreak' || type === 'hardbreak') return ' '
  return type === 'formula' ? `$${content}$` : ''
}

function spansIn(
  text: string,
  marks: readonly Mark[],
  legend: readonly LegendEntry[],
  seen: Map<Mark, number>,
): readonly Span[] {
  const spans: Span[] = []
  for (const mark of marks) {
    const entry = legend.find((l) => l.id === mark.sort)
    if (!entry) continue
    for (const found of text.matchAll(asPattern(mark.quote))) {
      const nth = (seen.get(mark) ?? 0) + 1
      seen.set(mark, nth)
      if (nth === mark.nth) spans.push({ start: found.index, end: found.index + found[0].length, entry })
    }
  }
  return spans.sort((a, b) => a.start - b.start)
}

function asPattern(quote: string): RegExp {
  return new RegExp(quote.replace(/[.*+?^${}()|[\]\\]/g, '\\$&').replace(/ /g, '\\s+'), 'g')
}

/** The children of a block, texts cut where a marked passage begins or ends. */
function withMarks(children: readonly Token[], spans: readonly Span[], Made: TokenClass): Token[] {
  if (spans.length === 0) return [...children]
  let at = 0
  return children.flatMap((child) => {
    const start = at
    at += partOf(child).length
    return child.type === 'text' ? cut(child, start, spans, Made) : [child]
  })
}

function cut(child: Token, start: number, spans: readonly Span[], Made: TokenClass): Token[] {
  const { content, level } = child
  const end = start + content.length
  const out: Token[] = []
  const plain = (from: number, to: number) => {
    if (to > from) out.push(made(new Made('text', '', 0), content.slice(from - start, to - start), level))
  }
  let at = start
  for (const span of spans.filter((s) => s.start < end && s.end > start)) {
    const from = Math.max(span.start, start)
    const to = Math.min(span.end, end)
    plain(at, from)
    const token = made(new Made('marked', 'mark', 0), content.slice(from - start, to - start), level)
    token.meta = { look: span.entry.look, name: span.entry.name, isLast: span.end <= end }
    out.push(token)
    at = to
  }
  plain(at, end)
  return out
}

function made(token: Token, content: string, level: number): Token {
  token.content = content
  token.level = level
  return token
}
