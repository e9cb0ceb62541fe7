import type { Result } from '../../../base'
import type { FormatRefusal } from '../../refusals'
import type { Files } from '../archive'
import type { ReadPiece, ShelfReading, ShelfRow, Shortfall } from '../types'
import { allOf, firstOf, isElement, textIn } from '../xml'
import type { Xml } from '../xml'
import { assignmentIn, linkIn, none, pageIn, questionsIn } from './cartridgeParts'
import type { FoundPieces } from './cartridgeParts'
import { readingOfBook } from './foundBook'
import type { FoundLesson, FoundUnit } from './foundBook'
import type { Place } from './innerLinks'
import { placeOf } from './path'

/** Resources of a manifest by their identifiers. */
type Resources = ReadonlyMap<string, Xml>

/** Whether a manifest is one of a Common Cartridge: its schema says so, or the kinds of its resources. */
export function isCartridge(manifest: Xml): boolean {
  const schema = textIn(firstOf(manifest, 'schema'))
  const types = allOf(manifest, 'resource').map((r) => r.attributes.type ?? '')
  return (
    /common cartridge/i.test(schema) || types.some((type) => /^ims(?:wl_|dt_|basiclti_)|\/imscc_/.test(type))
  )
}

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
  const beginsAt = new Map<ReadPiece, Place>()
  /** For teachers: they stay out of what learners find in the book. */
  const kept: ReadPiece[] = []
  const resources: Resources = new Map(
    allOf(manifest, 'resource').map((r) => [r.attributes.identifier ?? '', r]),
  )
  const used = new Set<string>()
  const piecesAt = (item: Xml, id: string): readonly ReadPiece[] => {
    const resource = resources.get(id)
    const title = titleOf(item)
    used.add(id)
    const found = resource
      ? piecesIn(files, resource, title, resources)
      : none({ code: 'not-readable', problem: `no resource ${id}` })
    rows.push(rowOf(resource?.attributes.href ?? id, title || found.pieces[0]?.title || id, found))
    rows.push(...(found.rows ?? []))
    if (resource && found.pieces[0]) beginsAt.set(found.pieces[0], { path: pathOf(resource), at: '' })
    if (!resource || !isForTeachers(resource)) return found.pieces
    kept.push(...found.pieces)
    return []
  }
  const title = textIn(firstOf(firstOf(manifest, 'metadata') ?? manifest, 'string')) || name
  const parts = partsOf(manifest, piecesAt)
  const others = [...resources]
    .filter(([id, r]) => !used.has(id) && /question-bank/.test(r.attributes.type ?? ''))
    .flatMap(([id, r]) => {
      const found = piecesIn(files, r, '', resources)
      rows.push(rowOf(r.attributes.href ?? id, found.pieces[0]?.title ?? 'Bank of questions', found))
      rows.push(...(found.rows ?? []))
      return found.pieces
    })
  return readingOfBook('cartridge', { title, parts, others: [...others, ...kept], rows, beginsAt })
}

const titleOf = (item: Xml) => textIn(itemsIn(item, 'title')[0] ?? null)
const itemsIn = (of: Xml, name: string) => of.children.filter(isElement).filter((c) => c.name === name)

/** Folders outermost are units, those in them lessons; what lies in neither is a lesson of its own. */
function partsOf(
  manifest: Xml,
  piecesAt: (item: Xml, id: string) => readonly ReadPiece[],
): readonly (FoundUnit | FoundLesson)[] {
  const organization = firstOf(manifest, 'organization')
  const outer = organization ? itemsIn(organization, 'item') : []
  // the one root item that a cartridge has is no folder of its own
  const tops = outer.length === 1 && outer[0] && titleOf(outer[0]) === '' ? itemsIn(outer[0], 'item') : outer
  const ownPieces = (item: Xml) => {
    const id = item.attributes.identifierref
    return id === undefined ? [] : piecesAt(item, id)
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

/** What becomes of a resource: of another form of it that is read, where the manifest names one that is meant first. */
function piecesIn(files: Files, resource: Xml, title: string, others: Resources): FoundPieces {
  const preferred = allOf(resource, 'variant').flatMap(
    (v) => others.get(v.attributes.identifierref ?? '') ?? [],
  )
  for (const form of [...preferred, resource]) {
    const found = piecesOf(files, form, title)
    if (found.pieces.length > 0 || form === resource) return withAbout(found, resource)
  }
  return none()
}

function piecesOf(files: Files, resource: Xml, title: string): FoundPieces {
  const { type = '' } = resource.attributes
  const path = pathOf(resource)
  if (type === 'webcontent') return pageIn(files, path, title)
  if (/^imswl_/.test(type)) return linkIn(files, path, title)
  if (/^assignment_/.test(type)) return assignmentIn(files, path, title)
  if (/^imsqti_.*\/(?:assessment|question-bank)$/.test(type))
    return questionsIn(files, path, { title, isBank: type.endsWith('question-bank') })
  return none({ code: 'not-here', name: WORDS.find(([of]) => of.test(type))?.[1] ?? type })
}

/** The file of a resource. */
function pathOf(resource: Xml): string {
  const { href = '', base = '' } = resource.attributes
  const [file] = allOf(resource, 'file')
  return placeOf(base, href || (file?.attributes.href ?? '')).path
}

/** The standards that a resource says it serves (CC 1.3, curriculum standards), and that it is for teachers. */
function withAbout(found: FoundPieces, resource: Xml): FoundPieces {
  const named = allOf(resource, 'labelledguid')
  const labels = named.map((of) => textIn(firstOf(of, 'label')).slice(0, 40)).filter((label) => label !== '')
  const standards = [...new Set(labels)]
  const short: readonly Shortfall[] = [
    ...found.short,
    ...(named.length > labels.length ? [{ code: 'not-here', name: 'standard without a code' } as const] : []),
    ...(isForTeachers(resource) && found.pieces.length > 0 ? [{ code: 'for-teachers' } as const] : []),
  ]
  const pieces = found.pieces.map((piece) =>
    standards.length === 0
      ? piece
      : { ...piece, standards: [...new Set([...piece.standards, ...standards])] },
  )
  return { ...found, pieces, short }
}

/** Meant for who teaches, and for no learner (CC 1.1, intended end user role). */
function isForTeachers(resource: Xml): boolean {
  const roles = allOf(resource, 'intendedenduserrole').map(textIn)
  return roles.length > 0 && !roles.some((role) => /learner|student/i.test(role))
}

/** What else a cartridge may hold, in words. */
const WORDS = [
  [/^imsdt_/, 'discussion'],
  [/^imsbasiclti_/, 'outside tool'],
  [/associatedcontent/, 'file beside a page'],
] as const
