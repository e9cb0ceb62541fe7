import { describe, expect, it } from 'vitest'
import type { ResourceKind, ResourceRole } from '../library'
import { piecesForBand } from './piecesForBand'

const piece = (id: string, role: ResourceRole, kind: ResourceKind = 'practice-set') => ({ id, role, kind })
const PIECES = [
  piece('core', 'core', 'reading'),
  piece('check', 'practice', 'check'),
  piece('more', 'practice'),
  piece('shown', 'example', 'worked-example'),
  piece('again', 'reteach'),
  piece('further', 'extension'),
]
const given = (band: Parameters<typeof piecesForBand>[1], pieces = PIECES) =>
  piecesForBand(pieces, band).map((p) => p.id)

describe('pieces for a band', () => {
  it('are what fits it, the fittest first, and nothing that measures', () => {
    expect(given('low')).toEqual(['again', 'shown', 'more'])
    expect(given('middle')).toEqual(['more', 'again'])
    expect(given('high')).toEqual(['further'])
    expect(given('unseen')).toEqual(['core', 'more'])
  })

  it('are four at most', () => {
    expect(
      given(
        'middle',
        Array.from({ length: 9 }, (_, i) => piece(`p${i}`, 'practice')),
      ),
    ).toEqual(['p0', 'p1', 'p2', 'p3'])
  })
})
