import { printInstant, seedOf, seededRandom } from '../../base'
import type { Instant } from '../../base'
import type { Standard } from '../../library'
import type { ReadStandard } from './types'

/**
 * Writes a framework as a CASE 1.0 package (JSON). Identifiers that were read are kept; others are made of the
 * framework's name and the code, the same at every writing.
 * @param at when it is written: the format wants a date of the last change.
 */
export function printCase(
  framework: {
    readonly id: string
    readonly title: string
    readonly outsideId: string | null
    /** Who wrote it; null: it was made here. */
    readonly creator: string | null
  },
  standards: readonly ReadStandard[],
  at: Instant,
): string {
  const changed = printInstant(at)
  const documentId = framework.outsideId ?? uuidOf(`${framework.id}`)
  const ids = new Map(
    standards.map(({ standard, outsideId }) => [
      standard.code,
      outsideId ?? uuidOf(`${framework.id}/${standard.code}`),
    ]),
  )
  const titles = new Map(standards.map(({ standard }) => [standard.code, standard.text]))
  const node = (id: string, title: string) => ({ title, identifier: id, uri: uriOf('CFItems', id) })
  const nodeOf = (code: string) => node(ids.get(code) ?? '', titles.get(code) ?? '')
  const documentNode = {
    title: framework.title,
    identifier: documentId,
    uri: uriOf('CFDocuments', documentId),
  }
  const parts: Parts = { framework, documentNode, nodeOf, changed }
  const pack = {
    CFDocument: {
      identifier: documentId,
      uri: uriOf('CFDocuments', documentId),
      creator: framework.creator ?? 'Step Cairn',
      title: framework.title,
      lastChangeDateTime: changed,
      CFPackageURI: { title: framework.title, identifier: documentId, uri: uriOf('CFPackages', documentId) },
    },
    CFItems: standards.map(({ standard }) => itemOf(standard, ids.get(standard.code) ?? '', parts)),
    CFAssociations: standards.flatMap(({ standard }, i) => relationsOf(standard, i + 1, parts)),
  }
  return `${JSON.stringify(pack, null, 2)}\n`
}

interface Parts {
  readonly framework: { readonly id: string }
  readonly documentNode: object
  readonly nodeOf: (code: string) => object
  /** When it was changed, as the format writes it. */
  readonly changed: string
}

function itemOf(standard: Standard, identifier: string, { changed, documentNode }: Parts) {
  return {
    identifier,
    uri: uriOf('CFItems', identifier),
    humanCodingScheme: standard.code,
    fullStatement: standard.text,
    CFItemType: standard.level.replace(/^./, (letter) => letter.toUpperCase()),
    lastChangeDateTime: changed,
    CFDocumentURI: documentNode,
  }
}

/** What holds a standard, and what comes before it. */
function relationsOf(standard: Standard, sequenceNumber: number, parts: Parts) {
  const { framework, documentNode, nodeOf, changed } = parts
  const relation = (type: 'isChildOf' | 'precedes', from: string, to: object, more: object = {}) => {
    const id = uuidOf(`${framework.id}/${type}/${from}/${JSON.stringify(to)}`)
    return {
      identifier: id,
      uri: uriOf('CFAssociations', id),
      associationType: type,
      ...more,
      originNodeURI: nodeOf(from),
      destinationNodeURI: to,
      lastChangeDateTime: changed,
    }
  }
  const parent = standard.parent === null ? documentNode : nodeOf(standard.parent)
  return [
    relation('isChildOf', standard.code, parent, { sequenceNumber }),
    ...standard.requires.map((before) => relation('precedes', before, nodeOf(standard.code))),
  ]
}

function uriOf(kind: string, id: string): string {
  return `urn:step-cairn:${kind}:${id}`
}

/** A name of 128 bits, shaped as RFC 9562 wants it (version 8: made of a text). */
function uuidOf(text: string): string {
  const random = seededRandom(seedOf(text))
  const hex = Array.from({ length: 32 }, () => Math.floor(random() * 16).toString(16))
  hex[12] = '8'
  hex[16] = '89ab'[Math.floor(random() * 4)] as string
  const all = hex.join('')
  return [all.slice(0, 8), all.slice(8, 12), all.slice(12, 16), all.slice(16, 20), all.slice(20)].join('-')
}
