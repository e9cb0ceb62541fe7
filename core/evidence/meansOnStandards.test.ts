import { describe, expect, it } from 'vitest'
import { ids, score, single } from '../../tests/support/made'
import { meansOnStandards } from './meansOnStandards'
import type { CountedTry } from './meansOnStandards'

const [ann, bo] = [ids.user('ann'), ids.user('bo')]
const items = [single('1', { standard: 'A' }), single('2', { standard: 'A' }), single('3', { standard: 'B' })]
const aTry = (learnerId: typeof ann, ...points: readonly number[]): CountedTry => ({
  learnerId,
  items,
  score: { ...score(0), items: points.map((p, i) => ({ itemId: ids.item(`${i + 1}`), points: p, of: 2 })) },
})

describe('standing on standards', () => {
  it('is the share of all points on their items, over all tries, with the count', () => {
    const standing = meansOnStandards(new Set(['A']), [
      aTry(ann, 2, 1, 0),
      aTry(ann, 0, 2, 2),
      aTry(bo, 2, 2),
    ])
    // Ann: 2 + 1 + 0 + 2 of 8 points on four items
    expect(standing.get(ann)).toEqual({ share: 0.625, items: 4 })
    expect(standing.get(bo)).toEqual({ share: 1, items: 2 })
  })

  it('is unknown for who has met none of them', () => {
    expect(meansOnStandards(new Set(['C']), [aTry(ann, 2, 2, 2)]).size).toBe(0)
    expect(meansOnStandards(new Set(['B']), [aTry(bo, 2, 2)]).size).toBe(0)
  })
})
