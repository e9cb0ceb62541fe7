import type { Resource } from '../../../library'
import { pack } from '../archive'
import { MANIFEST } from '../packageXml'
import { element, escapeXml } from '../xml'
import { printQtiItem } from './printItem'
import { ABOUT, printAbout } from './about'
import { identifierOf, paragraph } from './text'

/** The words of the metadata for how hard an item is, from 1 to 5. */
export const DIFFICULTIES = ['very easy', 'easy', 'medium', 'difficult', 'very difficult'] as const
/**
 * A piece with its items as a QTI 3.0 package: manifest, test, a file an item, and what the format has no place for;
 * the same bytes every time.
 */
export function printQtiPackage(piece: Resource): Uint8Array {
  const names = new Map(piece.items.map((item) => [item.id, `items/${item.id}.xml`]))
  const files = Object.fromEntries(
    piece.items.map((item) => [names.get(item.id) ?? '', printQtiItem(item)] as const),
  )
  return pack({
    [MANIFEST]: manifestOf(piece, names),
    'test.xml': testOf(piece, names),
    [ABOUT]: printAbout(piece),
    ...files,
  })
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
      element('qti-assessment-section', section, instructionsOf(piece), ...refs),
    ),
  )}\n`
}

/** The text of a piece, as what is read before its questions. */
function instructionsOf({ content }: Resource): string {
  if (content === '') return ''
  const of = { view: 'candidate', use: 'instructions' }
  return element('qti-rubric-block', of, element('qti-content-body', {}, paragraph(content)))
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
  const needed = piece.items.map((item) => element('dependency', { identifierref: `i-${item.id}` }))
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
      element('resource', test, pieceAbout(piece), element('file', { href: 'test.xml' }), ...needed),
      element(
        'resource',
        { identifier: 'about', type: 'webcontent', href: ABOUT },
        element('file', { href: ABOUT }),
      ),
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
        element('imsmd:language', {}, escapeXml(piece.language)),
      ),
      element(
        'imsmd:educational',
        {},
        vocabulary('imsmd:learningResourceType', piece.kind),
        element('imsmd:typicalLearningTime', {}, element('imsmd:duration', {}, `PT${piece.minutes}M`)),
      ),
    ),
    ...piece.standards.map(standardOf),
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
