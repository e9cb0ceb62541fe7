import { MathMLToLaTeX } from 'mathml-to-latex'
import { allOf, element, escapeXml, isElement, textIn } from '../xml'
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
  const isPlain = !MARKS.test(markdown) && lettersOf(markdown) === markdown
  const source = { [SOURCE]: isPlain ? null : markdown }
  return element(name, { ...attributes, ...source }, escapeXml(lettersOf(markdown)))
}

/** An element without those within it that are meant, however deep they stand. */
export function without(of: Xml, isMeant: (element: Xml) => boolean): Xml {
  const children = of.children.filter((child) => !isElement(child) || !isMeant(child))
  return { ...of, children: children.map((child) => (isElement(child) ? without(child, isMeant) : child)) }
}

/** The source of an element that was written here, unless somebody has changed its letters since. */
export function sourceOf(of: Xml): string | null {
  const source = of.attributes[SOURCE.replace('-', '')]
  return source !== undefined && lettersOf(source) === textIn(of) ? source : null
}

/** The source of all that stands in an element, where it is one text that was written here. */
function soleSource(of: Xml): string | null {
  const source = sourceOf(of)
  if (source !== null) return source
  const [first, ...more] = of.children.filter((child) => isElement(child) || child.trim() !== '')
  return first !== undefined && isElement(first) && more.length === 0 ? soleSource(first) : null
}

/** The text of an element as Markdown: as it was written here, where it was. */
export function markdownOf(of: Xml): string {
  const source = soleSource(of)
  if (source !== null) return source
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
  'h4',
  'prompt',
  'contentbody',
])
const SILENT: ReadonlySet<string> = new Set(['script', 'style', 'object', 'iframe', 'svg', 'video', 'audio'])

function inline(of: Xml | string): string {
  if (!isElement(of)) return of.replace(/\s+/g, ' ').replace(/([\\`*_$[\]])/g, '\\$1')
  if (SILENT.has(of.name)) return ''
  if (of.name === 'math') return formulaOf(of)
  const source = sourceOf(of)
  if (source !== null) return BLOCKS.has(of.name) ? `\n\n${source}\n\n` : source
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
    case 'td':
    case 'th':
      return `${within.trim()} | `
    case 'li':
      return `\n- ${within.trim()}`
    case 'img':
      return of.attributes.alt ? ` (picture: ${of.attributes.alt}) ` : ''
    default:
      return BLOCKS.has(of.name) ? `\n\n${within}\n\n` : within
  }
}

/** A formula in MathML as TeX between dollar signs: its own note of it, where it has one. */
function formulaOf(math: Xml): string {
  const note = allOf(math, 'annotation').find((a) => /tex$/i.test(a.attributes.encoding ?? ''))
  const tex = note ? textIn(note) : MathMLToLaTeX.convert(serialized(math)).trim()
  return tex === '' ? '' : `$${tex.replaceAll('$', '')}$`
}
function serialized(of: Xml | string): string {
  return isElement(of) ? element(of.name, of.attributes, ...of.children.map(serialized)) : escapeXml(of)
}

/** A name as an identifier of the format, which begins with a letter; read back by `nameFrom`. */
export function identifierOf(name: string): string {
  return /^[A-Za-z]/.test(name) ? name : `_${name}`
}

/** The name that an identifier stands for. */
export function nameFrom(identifier: string): string {
  return identifier.replace(/^_(?=.)/, '')
}
