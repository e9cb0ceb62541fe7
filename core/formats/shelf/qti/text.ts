import { element, escapeXml, isElement, textIn } from '../xml'
import type { Xml } from '../xml'

/** Where the source of a text is kept that has more than its letters: other programs read the letters. */
const SOURCE = 'data-source'

const MARKS = /[*_`$\\\[\]#>|~]|\n/

/** A text without its marks, as it is read by who knows none. */
function lettersOf(markdown: string): string {
  return markdown
    .replace(/\\([\\`*_$[\]#>|~])/g, '$1')
    .replace(/[*_`$]/g, '')
    .replace(/\s+/g, ' ')
    .trim()
}

/** A paragraph in XHTML. */
export function paragraph(
  markdown: string,
  name = 'p',
  attributes: Readonly<Record<string, string>> = {},
): string {
  const source = { [SOURCE]: MARKS.test(markdown) ? markdown : null }
  return element(name, { ...attributes, ...source }, escapeXml(lettersOf(markdown)))
}

/** The text of an element as Markdown: as it was written here, unless somebody has changed its letters since. */
export function markdownOf(of: Xml): string {
  const source = of.attributes[SOURCE.replace('-', '')]
  if (source !== undefined && lettersOf(source) === textIn(of)) return source
  return inline(of)
    .replace(/[ \t]+/g, ' ')
    .replace(/ ?\n ?/g, '\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim()
}

const BLOCKS: ReadonlySet<string> = new Set([
  'p',
  'div',
  'ul',
  'ol',
  'table',
  'tr',
  'blockquote',
  'h1',
  'h2',
  'h3',
])
const SILENT: ReadonlySet<string> = new Set(['script', 'style', 'object', 'iframe', 'svg', 'video', 'audio'])

function inline(of: Xml | string): string {
  if (!isElement(of)) return of.replace(/\s+/g, ' ').replace(/([\\`*_$[\]])/g, '\\$1')
  if (SILENT.has(of.name)) return ''
  const within = of.children.map(inline).join('')
  switch (of.name) {
    case 'strong':
    case 'b':
      return within.trim() === '' ? within : `**${within.trim()}**`
    case 'em':
    case 'i':
      return within.trim() === '' ? within : `*${within.trim()}*`
    case 'br':
      return '\n'
    case 'li':
      return `\n- ${within.trim()}`
    case 'img':
      return of.attributes.alt ? ` (picture: ${of.attributes.alt}) ` : ''
    default:
      return BLOCKS.has(of.name) ? `\n\n${within}\n\n` : within
  }
}

/** A name as an identifier of the format, which begins with a letter; read back by `nameFrom`. */
export function identifierOf(name: string): string {
  return /^[A-Za-z]/.test(name) ? name : `_${name}`
}

/** The name that an identifier stands for. */
export function nameFrom(identifier: string): string {
  return identifier.replace(/^_(?=.)/, '')
}
