import MarkdownIt from 'markdown-it'
import { isOfKeptFile, pieceAt } from '#core/library'
import { formulas } from './formulas'
import { taskLists } from './taskLists'

/** How Markdown is read here: without HTML. */
export const markdown = new MarkdownIt({ html: false, linkify: false, typographer: false })
  .use(formulas)
  .use(taskLists)

// a picture from elsewhere would tell that place who looks, and may be gone tomorrow: its words stand instead
const plainPicture = markdown.renderer.rules.image
markdown.renderer.rules.image = (tokens, at, options, env, self) => {
  const token = tokens[at]
  const address = String(token?.attrGet('src') ?? '')
  if (isOfKeptFile(address) && plainPicture) return plainPicture(tokens, at, options, env, self)
  return markdown.utils.escapeHtml(token?.content ?? '')
}

// a link to another piece leads there by a way that asks who follows it
markdown.renderer.rules.link_open = (tokens, at, options, _, self) => {
  const token = tokens[at]
  const piece = pieceAt(String(token?.attrGet('href') ?? ''))
  if (piece !== null) token?.attrSet('href', `/piece/${piece}`)
  return self.renderToken(tokens, at, options)
}

/** Markdown to HTML; HTML in the source stays text. */
export function toHtml(text: string): string {
  return markdown.render(text)
}

/** One line of Markdown, without a paragraph round it. */
export function toInlineHtml(text: string): string {
  return markdown.renderInline(text)
}

/** One line of Markdown as it is spoken: its words without any marks. */
export function plainText(text: string): string {
  const [line] = markdown.parseInline(text, {})
  return (line?.children ?? []).map((part) => part.content).join('')
}
