import { XMLParser, XMLValidator } from 'fast-xml-parser'
import { ok, refuse } from '../../base'
import type { Result } from '../../base'
import type { FormatRefusal } from '../refusals'

/** An element; names without their prefix, as they are folded by `plainName`. */
export interface Xml {
  readonly name: string
  readonly attributes: Readonly<Record<string, string>>
  readonly children: readonly (Xml | string)[]
}

const MOST_LETTERS = 8_000_000
const PARSER = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  trimValues: false,
  parseTagValue: false,
  parseAttributeValue: false,
  processEntities: true,
  htmlEntities: true,
})

/** Names of the two generations of the format alike: `qti-choice-interaction` and `choiceInteraction`. */
export function plainName(name: string): string {
  return name.replace(/^.*:/, '').replace(/^qti-/, '').replaceAll('-', '').toLowerCase()
}

/**
 * Reads XML. Refused when it is not well formed, and when it declares a document type or entities: these may name files
 * and addresses, or grow without end.
 */
export function parseXml(text: string): Result<Xml, FormatRefusal> {
  const source = text.replace(/^\uFEFF/, '')
  if (source.length > MOST_LETTERS) return refuse({ code: 'formats/package-too-large', field: 'file' })
  if (/<!(?:DOCTYPE|ENTITY)/i.test(source)) return refuse({ code: 'formats/has-entities', field: 'file' })
  const valid = XMLValidator.validate(source)
  if (valid !== true) return refuse({ code: 'formats/not-xml', field: 'file', line: valid.err.line })
  try {
    const [root] = (PARSER.parse(source) as readonly Raw[]).flatMap(toXml).filter(isElement)
    return root ? ok(root) : refuse({ code: 'formats/not-xml', field: 'file', line: 1 })
  } catch {
    return refuse({ code: 'formats/not-xml', field: 'file', line: 1 })
  }
}

type Raw = Readonly<Record<string, unknown>>

function toXml(raw: Raw): readonly (Xml | string)[] {
  const attributes = (raw[':@'] ?? {}) as Readonly<Record<string, string>>
  return Object.entries(raw).flatMap(([name, value]): readonly (Xml | string)[] => {
    if (name === ':@' || name.startsWith('?')) return []
    if (name === '#text') return [String(value)]
    const plain = Object.entries(attributes).map(([key, v]) => [plainName(key), String(v)])
    const children = (value as readonly Raw[]).flatMap(toXml)
    return [{ name: plainName(name), attributes: Object.fromEntries(plain), children }]
  })
}

export function isElement(node: Xml | string): node is Xml {
  return typeof node !== 'string'
}

/** Elements of a name anywhere within, in order. */
export function allOf(of: Xml, name: string): readonly Xml[] {
  return of.children
    .filter(isElement)
    .flatMap((child) => [...(child.name === name ? [child] : []), ...allOf(child, name)])
}

/** The first element of a name anywhere within. */
export function firstOf(of: Xml, name: string): Xml | null {
  return allOf(of, name)[0] ?? null
}

/** All text within, with single spaces. */
export function textIn(of: Xml | string | null): string {
  return rawTextIn(of).replace(/\s+/g, ' ').trim()
}

function rawTextIn(of: Xml | string | null): string {
  if (of === null) return ''
  return typeof of === 'string' ? of : of.children.map(rawTextIn).join('')
}

/** A text as it stands in XML; what no XML may hold is left out. */
export function escapeXml(text: string): string {
  return text
    .replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
}

/** An element with attributes and what stands in it, which is XML already. */
export function element(
  name: string,
  attributes: Readonly<Record<string, string | number | boolean | null>>,
  ...within: readonly string[]
): string {
  const own = Object.entries(attributes)
    .filter(([, value]) => value !== null)
    .map(([key, value]) => ` ${key}="${escapeXml(String(value)).replaceAll('\n', '&#10;')}"`)
    .join('')
  return within.length === 0 ? `<${name}${own}/>` : `<${name}${own}>${within.join('')}</${name}>`
}
