import MarkdownIt from 'markdown-it'
import { formulas } from './formulas'

const markdown = new MarkdownIt({ html: false, linkify: false, typographer: false }).use(formulas)

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
