import { ok, refuse } from '../../../base'
import type { Result } from '../../../base'
import type { Resource } from '../../../library'
import type { FormatRefusal } from '../../refusals'
import { pack } from '../archive'
import type { Files } from '../archive'
import { MANIFEST, xmlOf } from '../packageXml'
import { plainPiece } from '../plainPiece'
import { NO_BOOK } from '../types'
import type { ShelfReading, ShelfRow } from '../types'
import { allOf, element, escapeXml, firstOf, parseXml, textIn } from '../xml'
import type { Xml } from '../xml'
import { printQtiItem } from './printItem'
import { readQtiItem } from './readItem'
import { identifierOf } from './text'
import type { BesideItem } from './readItem'

const DIFFICULTIES = ['very easy', 'easy', 'medium', 'difficult', 'very difficult'] as const
const MOST_ITEMS = 100

/** A piece with its items as a QTI 3.0 package: manifest, test, and a file an item; the same bytes every time. */
export function printQtiPackage(piece: Resource): Uint8Array {
  const names = new Map(piece.items.map((item) => [item.id, `items/${item.id}.xml`]))
  const files = Object.fromEntries(
    piece.items.map((item) => [names.get(item.id) ?? '', printQtiItem(item)] as const),
  )
  return pack({ [MANIFEST]: manifestOf(piece, names), 'test.xml': testOf(piece, names), ...files })
}

function testOf(piece: Resource, names: ReadonlyMap<string, string>): string {
  const refs = piece.items.map((item) =>
    element('qti-assessment-item-ref', { identifier: `r-${item.id}`, href: names.get(item.id) ?? '' }),
  )
  const section = { identifier: 'all', title: piece.title, visible: 'true' }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${element(
    'qti-assessment-test',
    {
      xmlns: 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0',
      identifier: identifierOf(piece.code),
      title: piece.title,
    },
    element(
      'qti-test-part',
      { identifier: 'part', 'navigation-mode': 'nonlinear', 'submission-mode': 'simultaneous' },
      element('qti-assessment-section', section, ...refs),
    ),
  )}\n`
}

function manifestOf(piece: Resource, names: ReadonlyMap<string, string>): string {
  const items = piece.items.map((item) => {
    const href = names.get(item.id) ?? ''
    const difficulty = DIFFICULTIES[item.difficulty - 1] ?? 'medium'
    const about = element(
      'metadata',
      {},
      element('imsmd:lom', {}, element('imsmd:educational', {}, vocabulary('imsmd:difficulty', difficulty))),
      item.standard === null ? '' : standardOf(item.standard),
    )
    const of = { identifier: `i-${item.id}`, type: 'imsqti_item_xmlv3p0', href }
    return element('resource', of, about, element('file', { href }))
  })
  const test = { identifier: 'test', type: 'imsqti_test_xmlv3p0', href: 'test.xml' }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${element(
    'manifest',
    {
      xmlns: 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1',
      'xmlns:imsmd': 'http://ltsc.ieee.org/xsd/LOM',
      'xmlns:csm': 'http://www.imsglobal.org/xsd/imscsmd_v1p1',
      identifier: `p-${piece.code}`,
    },
    element('metadata', {}, element('schema', {}, 'QTI Package'), element('schemaversion', {}, '3.0.0')),
    element('organizations', {}),
    element(
      'resources',
      {},
      element('resource', test, pieceAbout(piece), element('file', { href: 'test.xml' })),
      ...items,
    ),
  )}\n`
}

function pieceAbout(piece: Resource): string {
  return element(
    'metadata',
    {},
    element(
      'imsmd:lom',
      {},
      element(
        'imsmd:general',
        {},
        element('imsmd:title', {}, element('imsmd:string', {}, escapeXml(piece.title))),
      ),
      element(
        'imsmd:educational',
        {},
        vocabulary('imsmd:learningResourceType', piece.kind),
        element('imsmd:typicalLearningTime', {}, element('imsmd:duration', {}, `PT${piece.minutes}M`)),
      ),
    ),
  )
}

const vocabulary = (name: string, value: string) =>
  element(name, {}, element('imsmd:source', {}, 'LOMv1.0'), element('imsmd:value', {}, escapeXml(value)))

function standardOf(code: string): string {
  return element(
    'csm:curriculumStandardsMetadataSet',
    {},
    element(
      'csm:curriculumStandardsMetadata',
      {},
      element(
        'csm:setOfGUIDs',
        {},
        element('csm:labelledGUID', {}, element('csm:GUID', {}, escapeXml(code))),
      ),
    ),
  )
}

/** Reads the items of a QTI package, 3.0 or 2.x, in the order of its test if it has one. */
export function readQtiPackage(files: Files, name: string): Result<ShelfReading, FormatRefusal> {
  const manifest = xmlOf(files, MANIFEST).value ?? null
  const about = manifest ? besidesIn(manifest) : new Map<string, BesideItem>()
  const documents = new Map<string, Xml>()
  const rows: ShelfRow[] = []
  for (const path of files.keys()) {
    if (path === MANIFEST || !path.endsWith('.xml')) continue
    const xml = xmlOf(files, path)
    if (xml.ok) documents.set(path, xml.value)
    else
      rows.push({
        where: path,
        what: '',
        outcome: 'refused',
        because: [{ code: 'not-readable', problem: xml.error.code }],
      })
  }
  const tests = [...documents].filter(([, xml]) => xml.name === 'assessmenttest')
  const [testPath, test] = tests[0] ?? ['', null]
  const paths = inOrder(
    testPath,
    test,
    [...documents].filter(([, x]) => x.name === 'assessmentitem').map(([p]) => p),
  )
  return readItems(
    paths.flatMap((path) => {
      const xml = documents.get(path)
      return xml ? [{ path, xml }] : []
    }),
    { name: test?.attributes.title || name, about, rows, manifest },
  )
}

/** Reads one item that stands alone in its file. */
export function readQtiFile(text: string, name: string): Result<ShelfReading, FormatRefusal> {
  const xml = parseXml(text)
  if (!xml.ok) return xml
  if (xml.value.name !== 'assessmentitem') return refuse({ code: 'formats/nothing-known', field: 'file' })
  return readItems([{ path: name, xml: xml.value }], { name, about: new Map(), rows: [], manifest: null })
}

function readItems(
  documents: readonly { readonly path: string; readonly xml: Xml }[],
  of: {
    readonly name: string
    readonly about: ReadonlyMap<string, BesideItem>
    readonly rows: readonly ShelfRow[]
    readonly manifest: Xml | null
  },
): Result<ShelfReading, FormatRefusal> {
  if (documents.length === 0 && of.rows.length === 0)
    return refuse({ code: 'formats/nothing-known', field: 'file' })
  if (documents.length > MOST_ITEMS)
    return refuse({ code: 'formats/too-many-rows', field: 'text', count: documents.length, most: MOST_ITEMS })
  const taken = new Set<string>()
  const items = []
  const rows = [...of.rows]
  for (const [i, { path, xml }] of documents.entries()) {
    const { item, short } = readQtiItem(xml, i + 1, of.about.get(path) ?? null)
    const what = (item?.stem ?? xml.attributes.title ?? '').slice(0, 200)
    if (item === null || taken.has(item.id)) {
      const because = item === null ? short : [{ code: 'code-twice', name: item.id } as const]
      rows.push({ where: path, what, outcome: 'refused', because })
      continue
    }
    taken.add(item.id)
    items.push(item)
    rows.push({ where: path, what, outcome: short.length === 0 ? 'taken' : 'taken-in-part', because: short })
  }
  const told = of.manifest ? toldOf(of.manifest) : {}
  const piece = plainPiece({ title: of.name, kind: 'practice-set', ...told, items })
  return ok({
    format: 'qti',
    title: piece.title,
    outsideId: null,
    standards: [],
    ...NO_BOOK,
    pieces: items.length === 0 ? [] : [piece],
    rows,
  })
}

/** Kind and minutes of a piece, where a package of ours says them. */
function toldOf(manifest: Xml) {
  const type = textIn(firstOf(firstOf(manifest, 'learningresourcetype') ?? manifest, 'value'))
  const minutes = Number(/^PT(\d+)M$/.exec(textIn(firstOf(manifest, 'duration')))?.[1])
  const kind = (['check', 'test', 'practice-set'] as const).find((k) => k === type)
  return { ...(kind ? { kind } : {}), ...(minutes >= 1 && minutes <= 300 ? { minutes } : {}) }
}

function besidesIn(manifest: Xml): ReadonlyMap<string, BesideItem> {
  return new Map(
    allOf(manifest, 'resource').map((resource) => {
      const guid = textIn(firstOf(resource, 'guid')).slice(0, 40)
      const difficulty = firstOf(resource, 'difficulty')
      const word = difficulty ? textIn(firstOf(difficulty, 'value')) : ''
      const at = DIFFICULTIES.findIndex((d) => d === word)
      return [
        resource.attributes.href ?? '',
        { standard: guid === '' ? null : guid, difficulty: at < 0 ? null : at + 1 },
      ] as const
    }),
  )
}

function inOrder(testPath: string, test: Xml | null, paths: readonly string[]): readonly string[] {
  if (test === null) return [...paths].sort()
  const folder = testPath.slice(0, testPath.lastIndexOf('/') + 1)
  const named = allOf(test, 'assessmentitemref')
    .map((ref) => `${folder}${ref.attributes.href ?? ''}`)
    .filter((path) => paths.includes(path))
  return [...new Set([...named, ...[...paths].sort()])]
}
