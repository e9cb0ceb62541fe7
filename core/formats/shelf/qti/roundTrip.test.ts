import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyItem } from '../../../../tests/support/anyItem'
import { aCheck } from '../../../../tests/support/made'
import { asId, mustBeOk } from '../../../base'
import type { ItemId } from '../../../base'
import { NO_MATERIAL, RESOURCE_KINDS, RESOURCE_ROLES } from '../../../library'
import type { Resource } from '../../../library'
import { printQtiPackage, readShelfFile } from '../index'

const words = fc.stringMatching(/^[A-Za-z][A-Za-z *_é"<&;,.$|-]{0,18}[a-z]$/)
const text = fc.array(words, { minLength: 1, maxLength: 4 }).map((all) => all.join('\n\n'))
const material = fc.record({
  link: fc.constantFrom('', 'https://example.org/a?b=1&c=2'),
  transcript: fc.oneof(fc.constant(''), text),
  words: fc.array(fc.record({ word: words, meaning: words, example: words }), { maxLength: 3 }),
  rubric: fc.array(fc.record({ name: words, points: fc.integer({ min: 0, max: 9 }), about: words }), {
    maxLength: 3,
  }),
})

/** Any piece, whatever its kind; files and its code stay where it comes from. */
const anyPiece: fc.Arbitrary<Resource> = fc
  .record({
    items: fc.array(anyItem, { maxLength: 4 }),
    title: words,
    kind: fc.constantFrom(...RESOURCE_KINDS),
    role: fc.constantFrom(...RESOURCE_ROLES),
    minutes: fc.integer({ min: 1, max: 300 }),
    grade: fc.integer({ min: 1, max: 13 }),
    language: fc.constantFrom('en', 'es', 'de'),
    readingLevel: fc.option(fc.integer({ min: 1, max: 13 })),
    standards: fc.uniqueArray(fc.stringMatching(/^[A-Z]{1,3}\.[1-9]$/), { maxLength: 3 }),
    content: fc.oneof(fc.constant(''), text),
    material,
  })
  .map(({ items, ...part }) => {
    const named = items.map((item, i) => ({ ...item, id: asId<ItemId>(`q${i + 1}`) }))
    return aCheck(named, { ...part, material: { ...NO_MATERIAL, ...part.material } })
  })

describe('a piece as QTI 3.0', () => {
  it('is itself when it comes back, whatever its kind and whatever stands in it', () => {
    fc.assert(
      fc.property(anyPiece, (piece) => {
        const { pieces, rows } = mustBeOk(readShelfFile('piece.zip', printQtiPackage(piece)), 'piece.zip')
        const { id: _, ...whole } = piece
        expect(rows.filter((row) => row.outcome !== 'taken')).toEqual([])
        expect(pieces).toEqual([{ ...whole, code: '' }])
      }),
      { numRuns: 300 },
    )
  })
})
