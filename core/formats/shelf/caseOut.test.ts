import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { at } from '../../../tests/support/made'
import { STANDARDS } from '../../../demo/content/standards'
import { printCase } from './index'

/** The parts of a package that are written, as the information model of CASE 1.0 has them, and no others. */
const id = z.uuid()
const uri = z.url()
const changed = z.iso.datetime()
const link = z.strictObject({ title: z.string().min(1), identifier: id, uri })
const PACKAGE = z.strictObject({
  CFDocument: z.strictObject({
    identifier: id,
    uri,
    creator: z.string().min(1),
    title: z.string().min(1),
    lastChangeDateTime: changed,
    CFPackageURI: link,
  }),
  CFItems: z.array(
    z.strictObject({
      identifier: id,
      uri,
      humanCodingScheme: z.string().min(1),
      fullStatement: z.string().min(1),
      CFItemType: z.string().min(1),
      lastChangeDateTime: changed,
      CFDocumentURI: link,
    }),
  ),
  CFAssociations: z.array(
    z.strictObject({
      identifier: id,
      uri,
      associationType: z.enum(['isChildOf', 'precedes']),
      sequenceNumber: z.int().optional(),
      originNodeURI: link,
      destinationNodeURI: link,
      lastChangeDateTime: changed,
    }),
  ),
})

describe('what is written as CASE 1.0', () => {
  const written = printCase(
    { id: 'framework-th', title: 'Science', outsideId: null, creator: null },
    STANDARDS.map((standard) => ({ standard, outsideId: null })),
    at('11-01T10:00'),
  )
  const parsed = PACKAGE.safeParse(JSON.parse(written))

  it('has the parts of the standard and no others', () => {
    expect(parsed.error?.issues.slice(0, 3)).toBeUndefined()
  })

  it('names everything once, and relates only what is there', () => {
    const { CFDocument, CFItems, CFAssociations } = PACKAGE.parse(JSON.parse(written))
    const items = new Set(CFItems.map((i) => i.identifier))
    const ids = [CFDocument, ...CFItems, ...CFAssociations].map((o) => o.identifier)
    expect(new Set(ids).size).toBe(ids.length)
    for (const a of CFAssociations) {
      expect(items.has(a.originNodeURI.identifier), a.originNodeURI.title).toBe(true)
      const isThere = items.has(a.destinationNodeURI.identifier)
      expect(isThere || a.destinationNodeURI.identifier === CFDocument.identifier).toBe(true)
    }
  })
})
