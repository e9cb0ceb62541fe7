import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { FormatRefusal } from '../../refusals'
import type { Files } from '../archive'
import type { ReadPiece, ShelfReading, ShelfRow, Shortfall } from '../types'
import { xmlOf } from '../packageXml'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import { cutAt, leftOutOf } from './chapters'
import type { Chapter } from './chapters'
import { readingOfBook, readingsOf } from './foundBook'
import type { FoundLesson } from './foundBook'
import type { Place } from './innerLinks'
import { folderOf, placeOf } from './path'

/** Where every EPUB names its package document (OCF 3, section 4.2.6.3.1). */
export const CONTAINER = 'META-INF/container.xml'

/** A line of the navigation, with those below it. */
interface Entry {
  readonly title: string
  /** Null: only a heading. */
  readonly path: string | null
  readonly at: string
  readonly below: readonly Entry[]
}

/**
 * Reads an EPUB 3 as a textbook: its navigation document is the outline, its chapters are readings. An EPUB 2 is read
 * by its NCX. Refused without either of the two.
 */
export function readEpub(files: Files, name: string): Result<ShelfReading, FormatRefusal> {
  const container = xmlOf(files, CONTAINER, plain)
  if (!container.ok) return container
  const opfPath = firstOf(container.value, 'rootfile')?.attributes['fullpath'] ?? ''
  const opf = xmlOf(files, opfPath, plain)
  if (!opf.ok) return opf
  const folder = folderOf(opfPath)
  const entries = navigationOf(files, opf.value, folder)
  if (!entries.ok) return entries
  const language = textIn(firstOf(opf.value, 'language')).slice(0, 2).toLowerCase()
  const title = withCreators(textIn(firstOf(opf.value, 'title')) || name, opf.value)
  const flat = entries.value.flatMap(withBelow)
  const texts = cutAt(files, spineOf(opf.value, folder), flat)
  const rows: ShelfRow[] = []
  const beginsAt = new Map<ReadPiece, Place>()
  const lessonOf = (entry: Entry): FoundLesson => {
    const text = texts.of.get(entry)
    const pieces = readingsOf(entry.title, text?.text ?? '', codeOf(language))
    rows.push(rowOf(entry, text, pieces.length === 0))
    if (entry.path !== null && pieces[0]) beginsAt.set(pieces[0], { path: entry.path, at: entry.at })
    return { title: entry.title, pieces }
  }
  // what lies deeper stands in its order; a unit's own text opens it
  const parts = entries.value.map((entry) => {
    if (entry.below.length === 0) return lessonOf(entry)
    const opening = texts.of.get(entry)?.text ? [entry] : []
    return { title: entry.title, lessons: [...opening, ...entry.below.flatMap(withBelow)].map(lessonOf) }
  })
  const outside = texts.outside.map((where): ShelfRow => ({
    where,
    what: '',
    outcome: 'refused',
    because: [{ code: 'outside-navigation' }],
  }))
  return readingOfBook('epub', { title, parts, others: [], rows: [...rows, ...outside], beginsAt })
}

/** A document type without definitions of its own says nothing and is passed over. */
const plain = (text: string) => text.replace(/<!DOCTYPE[^<>[\]]*>/i, '')

const codeOf = (language: string) => (/^[a-z]{2}$/.test(language) ? language : 'en')
const withBelow = (entry: Entry): readonly Entry[] => [entry, ...entry.below.flatMap(withBelow)]

/** A title with those who wrote it, as it is named on a shelf. */
function withCreators(title: string, opf: Xml): string {
  const names = allOf(firstOf(opf, 'metadata') ?? opf, 'creator')
    .map(textIn)
    .filter((name) => name !== '')
  return names.length === 0 ? title : `${title} (${names.join(', ')})`
}

function rowOf(entry: Entry, text: Chapter | undefined, hasNone: boolean): ShelfRow {
  const unread = text?.unread ?? []
  const isEmpty = hasNone && unread.length === 0
  const because: readonly Shortfall[] = isEmpty
    ? [{ code: 'no-text' }]
    : [...unread, ...(text ? leftOutOf(text) : [])]
  const where = `${entry.path ?? ''}${entry.at === '' ? '' : `#${entry.at}`}`
  return { where, what: entry.title, outcome: because.length > 0 ? 'taken-in-part' : 'taken', because }
}

function manifestOf(opf: Xml): readonly Xml[] {
  const manifest = firstOf(opf, 'manifest')
  return manifest ? allOf(manifest, 'item') : []
}

function spineOf(opf: Xml, folder: string): readonly string[] {
  const hrefs = new Map(manifestOf(opf).map((item) => [item.attributes.id, item.attributes.href ?? '']))
  const spine = firstOf(opf, 'spine')
  return allOf(spine ?? opf, 'itemref').flatMap((ref) => {
    const href = hrefs.get(ref.attributes.idref)
    return href === undefined || ref.attributes.linear === 'no' ? [] : [placeOf(folder, href).path]
  })
}

function navigationOf(files: Files, opf: Xml, folder: string): Result<readonly Entry[], FormatRefusal> {
  const items = manifestOf(opf)
  const nav = items.find((i) => i.attributes.properties?.split(/\s+/).includes('nav'))
  const ncx = items.find((i) => i.attributes.mediatype === 'application/x-dtbncx+xml')
  for (const [item, read] of [
    [nav, ofNavigation],
    [ncx, ofNcx],
  ] as const) {
    const path = item ? placeOf(folder, item.attributes.href ?? '').path : ''
    const xml = xmlOf(files, path, plain)
    const entries = xml.ok ? read(xml.value, folderOf(path)) : []
    if (entries.length > 0) return ok(entries)
  }
  return refuse({ code: 'formats/no-navigation', field: 'file' })
}

const partsOf = (of: Xml | null, name: string) =>
  of ? of.children.filter(isElement).filter((c) => c.name === name) : []

/** The navigation document of EPUB 3 (section 7): `nav` of type toc, in it lists of lists. */
function ofNavigation(root: Xml, folder: string): readonly Entry[] {
  const toc = allOf(root, 'nav').find((n) => n.attributes.type?.split(/\s+/).includes('toc'))
  const listed = (list: Xml | null): readonly Entry[] =>
    partsOf(list, 'li').map((li) => {
      const link = partsOf(li, 'a')[0] ?? null
      const place = link?.attributes.href === undefined ? null : placeOf(folder, link.attributes.href)
      return {
        title: textIn(link ?? partsOf(li, 'span')[0] ?? null),
        path: place?.path ?? null,
        at: place?.at ?? '',
        below: listed(partsOf(li, 'ol')[0] ?? null),
      }
    })
  return toc ? listed(firstOf(toc, 'ol')) : []
}

/** The NCX of EPUB 2: points within points. */
function ofNcx(root: Xml, folder: string): readonly Entry[] {
  const pointsIn = (of: Xml | null): readonly Entry[] =>
    partsOf(of, 'navpoint').map((point) => {
      const place = placeOf(folder, partsOf(point, 'content')[0]?.attributes.src ?? '')
      return {
        title: textIn(partsOf(point, 'navlabel')[0] ?? null),
        path: place.path,
        at: place.at,
        below: pointsIn(point),
      }
    })
  return pointsIn(firstOf(root, 'navmap'))
}
