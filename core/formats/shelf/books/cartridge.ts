import type { Result } from '../../../base'
import { isWebAddress, NO_MATERIAL } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { textOf } from '../archive'
import type { Files } from '../archive'
import { toMarkdown } from '../html'
import { plainPiece } from '../plainPiece'
import type { ReadPiece, ShelfReading, ShelfRow, Shortfall } from '../types'
import { xmlOf } from '../packageXml'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import { readingOfBook, readingsOf } from './foundBook'
import type { FoundLesson, FoundUnit } from './foundBook'
import { folderOf, placeOf } from './path'
import { readQuestions } from './questions12'

/** Whether a manifest is one of a Common Cartridge: its schema says so, or the kinds of its resources. */
export function isCartridge(manifest: Xml): boolean {
  const schema = textIn(firstOf(manifest, 'schema'))
  const types = allOf(manifest, 'resource').map((r) => r.attributes.type ?? '')
  return (
    /common cartridge/i.test(schema) || types.some((type) => /^ims(?:wl_|dt_|basiclti_)|\/imscc_/.test(type))
  )
}

/** What a resource of a cartridge comes to. */
interface FoundPieces {
  readonly pieces: readonly ReadPiece[]
  readonly short: readonly Shortfall[]
  /** What becomes of the parts within it. */
  readonly rows?: readonly ShelfRow[]
}
const none = (...short: readonly Shortfall[]): FoundPieces => ({ pieces: [], short })

/**
 * Reads a Common Cartridge (1.0 to 1.3) as a textbook: folders of its organization are units and lessons; pages are
 * readings, web links are links, assessments are checks, banks are practice. What there is not here is named.
 */
export function readCartridge(
  files: Files,
  manifest: Xml,
  name: string,
): Result<ShelfReading, FormatRefusal> {
  const rows: ShelfRow[] = []
  const resources = new Map(allOf(manifest, 'resource').map((r) => [r.attributes.identifier ?? '', r]))
  const used = new Set<string>()
  const piecesOf = (item: Xml, id: string): readonly ReadPiece[] => {
    const resource = resources.get(id)
    const title = titleOf(item)
    used.add(id)
    const found = resource
      ? piecesIn(files, resource, title)
      : none({ code: 'not-readable', problem: `no resource ${id}` })
    rows.push(rowOf(resource?.attributes.href ?? id, title || found.pieces[0]?.title || id, found))
    rows.push(...(found.rows ?? []))
    return found.pieces
  }
  const title = textIn(firstOf(firstOf(manifest, 'metadata') ?? manifest, 'string')) || name
  const parts = partsOf(manifest, piecesOf)
  const others = [...resources]
    .filter(([id, r]) => !used.has(id) && /question-bank/.test(r.attributes.type ?? ''))
    .flatMap(([id, r]) => {
      const found = piecesIn(files, r, '')
      rows.push(rowOf(r.attributes.href ?? id, found.pieces[0]?.title ?? 'Bank of questions', found))
      rows.push(...(found.rows ?? []))
      return found.pieces
    })
  return readingOfBook('cartridge', { title, parts, others, rows })
}

const titleOf = (item: Xml) => textIn(itemsIn(item, 'title')[0] ?? null)
const itemsIn = (of: Xml, name: string) => of.children.filter(isElement).filter((c) => c.name === name)

/** Folders outermost are units, those in them lessons; what lies in neither is a lesson of its own. */
function partsOf(
  manifest: Xml,
  piecesOf: (item: Xml, id: string) => readonly ReadPiece[],
): readonly (FoundUnit | FoundLesson)[] {
  const organization = firstOf(manifest, 'organization')
  const outer = organization ? itemsIn(organization, 'item') : []
  // the one root item that a cartridge has is no folder of its own
  const tops = outer.length === 1 && outer[0] && titleOf(outer[0]) === '' ? itemsIn(outer[0], 'item') : outer
  const ownPieces = (item: Xml) => {
    const id = item.attributes.identifierref
    return id === undefined ? [] : piecesOf(item, id)
  }
  const allPieces = (item: Xml): readonly ReadPiece[] => [
    ...ownPieces(item),
    ...itemsIn(item, 'item').flatMap(allPieces),
  ]
  const lessonOf = (item: Xml): FoundLesson => ({ title: titleOf(item), pieces: allPieces(item) })
  return tops.map((top) => {
    const below = itemsIn(top, 'item')
    if (below.length === 0) return lessonOf(top)
    const own = ownPieces(top)
    const opening = own.length > 0 ? [{ title: titleOf(top), pieces: own }] : []
    return { title: titleOf(top), lessons: [...opening, ...below.map(lessonOf)] }
  })
}

function rowOf(where: string, what: string, { pieces, short }: FoundPieces): ShelfRow {
  const partly = short.length === 0 ? 'taken' : 'taken-in-part'
  return {
    where,
    what: what.slice(0, 200),
    outcome: pieces.length === 0 ? 'refused' : partly,
    because: short,
  }
}

function piecesIn(files: Files, resource: Xml, title: string): FoundPieces {
  const { type = '', href = '' } = resource.attributes
  const base = resource.attributes.base ?? ''
  const [file] = allOf(resource, 'file')
  const { path } = placeOf(base, href || (file?.attributes.href ?? ''))
  if (type === 'webcontent') return pageIn(files, path, title)
  if (/^imswl_/.test(type)) return linkIn(files, path, title)
  if (/^imsqti_.*\/(?:assessment|question-bank)$/.test(type)) {
    const isBank = type.endsWith('question-bank')
    const xml = xmlOf(files, path).value ?? null
    return xml
      ? readQuestions(xml, { title, kind: isBank ? 'practice-set' : 'check', where: path })
      : none({ code: 'not-readable', problem: path })
  }
  return none({ code: 'not-here', name: WORDS.find(([of]) => of.test(type))?.[1] ?? type })
}

/** What else a cartridge may hold, in words. */
const WORDS = [
  [/^imsdt_/, 'discussion'],
  [/^imsbasiclti_/, 'outside tool'],
  [/^assignment_/, 'assignment'],
  [/associatedcontent/, 'file beside a page'],
] as const

function pageIn(files: Files, path: string, title: string): FoundPieces {
  if (!/\.x?html?$/i.test(path))
    return none({ code: 'not-here', name: `file ${path.slice(folderOf(path).length)}` })
  const bytes = files.get(path)
  const text = bytes ? textOf(bytes) : null
  const page = text?.ok ? toMarkdown(text.value) : null
  if (!page) return none({ code: 'not-readable', problem: path })
  if (page.text === '') return none({ code: 'no-text' })
  const short: readonly Shortfall[] =
    page.pictures > 0 ? [{ code: 'picture-left-out', count: page.pictures }] : []
  return { pieces: readingsOf(title, page.text, 'en'), short }
}

/** A web link (CC 1.3, section 4.6): a title and a url. */
function linkIn(files: Files, path: string, title: string): FoundPieces {
  const xml = xmlOf(files, path).value ?? null
  const link = xml ? (firstOf(xml, 'url')?.attributes.href ?? '') : ''
  if (!isWebAddress(link)) return none({ code: 'no-https', address: link.slice(0, 200) })
  const named = title || textIn(xml && firstOf(xml, 'title')) || link
  return {
    pieces: [plainPiece({ title: named, kind: 'link', minutes: 10, material: { ...NO_MATERIAL, link } })],
    short: [],
  }
}
