import { describe, expect, it } from 'vitest'
import { strFromU8, unzipSync } from 'fflate'
import { XMLParser } from 'fast-xml-parser'
import { aCheck, everyKind } from '../../../../tests/support/made'
import { asId } from '../../../base'
import type { ItemId } from '../../../base'
import { printQtiPackage } from '../index'

/**
 * Of each element that is written: its attributes (`!`: has to be there), and what may stand in it, in this order, out
 * of the information model of QTI 3.0 (ASI) and content packaging. No package ships the schemas.
 */
const STANDARD: Readonly<Record<string, { readonly has: string; readonly holds: string }>> = {
  'qti-assessment-item': {
    has: 'xmlns! identifier! title! adaptive! time-dependent! xml:lang',
    holds:
      'qti-response-declaration qti-outcome-declaration qti-item-body qti-response-processing qti-modal-feedback',
  },
  'qti-response-declaration': {
    has: 'identifier! cardinality! base-type!',
    holds: 'qti-correct-response qti-mapping',
  },
  'qti-outcome-declaration': {
    has: 'identifier! cardinality! base-type! normal-maximum external-scored',
    holds: 'qti-default-value',
  },
  'qti-correct-response': { has: '', holds: 'qti-value' },
  'qti-default-value': { has: '', holds: 'qti-value' },
  'qti-value': { has: '', holds: '#text' },
  'qti-mapping': { has: 'default-value! lower-bound upper-bound', holds: 'qti-map-entry' },
  'qti-map-entry': { has: 'map-key! mapped-value! case-sensitive', holds: '' },
  'qti-item-body': {
    has: '',
    holds:
      'qti-rubric-block p qti-choice-interaction qti-order-interaction qti-match-interaction ' +
      'qti-extended-text-interaction',
  },
  'qti-rubric-block': { has: 'use! view!', holds: 'qti-content-body' },
  'qti-content-body': { has: '', holds: 'p' },
  p: { has: 'class data-source', holds: '#mixed' },
  span: { has: 'class', holds: '#text' },
  'qti-prompt': { has: 'data-source', holds: '#text' },
  'qti-choice-interaction': {
    has: 'response-identifier! max-choices',
    holds: 'qti-prompt qti-simple-choice',
  },
  'qti-order-interaction': { has: 'response-identifier!', holds: 'qti-prompt qti-simple-choice' },
  'qti-simple-choice': { has: 'identifier! data-source', holds: '#text' },
  'qti-match-interaction': {
    has: 'response-identifier! max-associations',
    holds: 'qti-prompt qti-simple-match-set',
  },
  'qti-simple-match-set': { has: '', holds: 'qti-simple-associable-choice' },
  'qti-simple-associable-choice': { has: 'identifier! match-max! data-source', holds: '#text' },
  'qti-text-entry-interaction': { has: 'response-identifier!', holds: '' },
  'qti-extended-text-interaction': {
    has: 'response-identifier! min-strings data-least-words data-most-words data-least-paragraphs',
    holds: 'qti-prompt',
  },
  'qti-response-processing': {
    has: 'template',
    holds: 'qti-response-condition qti-set-outcome-value',
  },
  'qti-response-condition': { has: '', holds: 'qti-response-if qti-response-else' },
  'qti-response-if': { has: '', holds: 'qti-or qti-equal qti-set-outcome-value' },
  'qti-or': { has: '', holds: 'qti-and' },
  'qti-and': { has: '', holds: 'qti-match' },
  'qti-match': { has: '', holds: 'qti-index qti-base-value' },
  'qti-index': { has: 'n!', holds: 'qti-variable' },
  'qti-response-else': { has: '', holds: 'qti-set-outcome-value' },
  'qti-set-outcome-value': { has: 'identifier!', holds: 'qti-base-value qti-sum' },
  'qti-base-value': { has: 'base-type!', holds: '#text' },
  'qti-equal': { has: 'tolerance-mode! tolerance', holds: 'qti-variable qti-correct' },
  'qti-variable': { has: 'identifier!', holds: '' },
  'qti-correct': { has: 'identifier!', holds: '' },
  'qti-sum': { has: '', holds: 'qti-variable qti-base-value qti-map-response' },
  'qti-map-response': { has: 'identifier!', holds: '' },
  'qti-modal-feedback': { has: 'outcome-identifier! identifier! show-hide!', holds: 'qti-content-body' },
  'qti-assessment-test': { has: 'xmlns! identifier! title!', holds: 'qti-test-part' },
  'qti-test-part': { has: 'identifier! navigation-mode! submission-mode!', holds: 'qti-assessment-section' },
  'qti-assessment-section': {
    has: 'identifier! title! visible!',
    holds: 'qti-rubric-block qti-assessment-item-ref',
  },
  'qti-assessment-item-ref': { has: 'identifier! href!', holds: '' },
  manifest: {
    has: 'xmlns! xmlns:imsmd xmlns:csm identifier!',
    holds: 'metadata organizations resources',
  },
  organizations: { has: '', holds: '' },
  resources: { has: '', holds: 'resource' },
  resource: { has: 'identifier! type! href', holds: 'metadata file dependency' },
  dependency: { has: 'identifierref!', holds: '' },
  file: { has: 'href!', holds: '' },
}
/** What other standards say, within metadata. */
const FOREIGN = /^(?:imsmd|csm):|^(?:metadata|schema|schemaversion)$/
/** An identifier has no colon and begins with a letter or a low line (NCName). */
const IDENTIFIER = /^[A-Za-z_][\w.-]*$/

type Node = Readonly<Record<string, unknown>>
const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  trimValues: false,
})
const nameOf = (node: Node) => Object.keys(node).find((key) => key !== ':@') ?? ''

function breachesIn(nodes: readonly Node[], within: string): readonly string[] {
  return nodes.flatMap((node): readonly string[] => {
    const name = nameOf(node)
    if (name === '#text' || name.startsWith('?')) return []
    const children = node[name] as readonly Node[]
    if (FOREIGN.test(name)) return breachesIn(children, within)
    const rule = STANDARD[name]
    if (!rule) return [`${within}/${name} is not known`]
    const attributes = (node[':@'] ?? {}) as Readonly<Record<string, string>>
    return [
      ...attributeBreaches(name, rule.has, attributes),
      ...childBreaches(name, rule.holds, children),
      ...breachesIn(children, name),
    ]
  })
}

function attributeBreaches(name: string, has: string, given: Readonly<Record<string, string>>) {
  const rules = has.split(' ').filter((a) => a !== '')
  const allowed = new Set(rules.map((a) => a.replace('!', '')))
  const needed = rules.filter((a) => a.endsWith('!')).map((a) => a.slice(0, -1))
  const identifiers = Object.entries(given).filter(([key]) => /^(?:[a-z]+-)?identifier$/.test(key))
  return [
    ...Object.keys(given).flatMap((a) => (allowed.has(a) ? [] : [`${name} has no ${a}`])),
    ...needed.flatMap((a) => (a in given ? [] : [`${name} lacks ${a}`])),
    ...identifiers.flatMap(([key, v]) => (IDENTIFIER.test(v) ? [] : [`${name} ${key}="${v}"`])),
  ]
}

function childBreaches(name: string, holds: string, children: readonly Node[]): readonly string[] {
  if (holds === '#mixed') return []
  const order = holds.split(' ')
  const inOrder = children.map(nameOf).filter((c) => c !== '#text' || order.includes('#text'))
  const places = inOrder.map((c) => order.indexOf(FOREIGN.test(c) ? 'metadata' : c))
  return places.flatMap((at, i) => {
    if (at < 0) return [`${name} holds ${inOrder[i]}`]
    return at < (places[i - 1] ?? 0) ? [`${name}: ${inOrder[i]} stands too late`] : []
  })
}

describe('what is written as QTI 3.0', () => {
  it('has the elements and attributes of the standard, in its order', () => {
    const items = everyKind().map((item, i) => ({ ...item, id: asId<ItemId>(i === 0 ? '1st' : item.id) }))
    const files = unzipSync(printQtiPackage(aCheck(items, { content: 'Read *this*.' })))
    expect(Object.keys(files)).toHaveLength(items.length + 3)
    for (const [file, bytes] of Object.entries(files).filter(([name]) => name.endsWith('.xml')))
      expect(breachesIn(parser.parse(strFromU8(bytes)) as readonly Node[], file), file).toEqual([])
  })

  it('is held to a table that finds what is wrong', () => {
    const wrong = '<qti-mapping><qti-map-entry map-key="a"/><p/></qti-mapping>'
    expect(breachesIn(parser.parse(wrong) as readonly Node[], 'x')).toEqual([
      'qti-mapping lacks default-value',
      'qti-mapping holds p',
      'qti-map-entry lacks mapped-value',
    ])
  })
})
