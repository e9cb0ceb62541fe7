import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seedOf, seededRandom } from '../../base'
import type { ItemId } from '../../base'
import { single } from '../../../tests/support/made'
import { estimateOf, expectedOverBank, expectedShare, nextItem } from './adaptive'

const bank = [1, 2, 3, 4, 5].flatMap((difficulty) =>
  ['a', 'b', 'c'].map((name) => single(`${difficulty}${name}`, { difficulty })),
)
const none = new Map<ItemId, number>()
const ask = (
  part: Partial<Parameters<typeof nextItem>[2]> = {},
  most = 10,
  untilError: number | null = null,
) =>
  nextItem(
    bank,
    { most, untilError },
    { given: [], estimate: estimateOf([]), seed: 's', seen: none, ...part },
  )

describe('the estimate', () => {
  it('expects half of the points where item and ability are alike', () => {
    expect(expectedShare(0, 3)).toBe(0.5)
    // one logit above: 1 / (1 + e^-1)
    expect(expectedShare(1, 3)).toBeCloseTo(0.7311, 4)
    expect(expectedShare(0, 5)).toBeCloseTo(0.1192, 4)
  })

  it('begins in the middle, as unsure as abilities spread', () => {
    expect(estimateOf([])).toEqual({ ability: 0, error: 1.5 })
  })

  it('is where the slope of the posterior is nil', () => {
    // one right at difficulty 3: 1 − p(θ) = θ / 2.25, which is 0.7311 by bisection
    const { ability, error } = estimateOf([{ difficulty: 3, share: 1 }])
    expect(1 - expectedShare(ability, 3)).toBeCloseTo(ability / 2.25, 8)
    expect(ability).toBeCloseTo(0.7311, 3)
    expect(error).toBeLessThan(1.5)
  })

  it('is finite when all is right or all is wrong, and the same both ways', () => {
    const all = (share: number) => estimateOf(Array.from({ length: 30 }, () => ({ difficulty: 3, share })))
    expect(all(1).ability).toBeGreaterThan(2)
    expect(all(1).ability).toBeLessThan(6)
    expect(all(0).ability).toBeCloseTo(-all(1).ability, 8)
  })

  it('rises with every share that is greater, and is surer with every item', () => {
    const responses = fc.array(
      fc.record({
        difficulty: fc.integer({ min: 1, max: 5 }),
        share: fc.double({ min: 0, max: 1, noNaN: true }),
      }),
      { minLength: 1, maxLength: 20 },
    )
    fc.assert(
      fc.property(responses, (list) => {
        const [first, ...rest] = list
        const better = [{ ...first!, share: 1 }, ...rest]
        expect(estimateOf(better).ability).toBeGreaterThanOrEqual(estimateOf(list).ability - 1e-9)
        expect(estimateOf(list).error).toBeLessThan(1.5)
      }),
    )
  })

  it('finds an ability again from its answers', () => {
    const random = seededRandom(seedOf('ability'))
    for (const truth of [-1.5, 0, 1.5]) {
      const responses = Array.from({ length: 400 }, (_, i) => {
        const difficulty = 1 + (i % 5)
        return { difficulty, share: random() < expectedShare(truth, difficulty) ? 1 : 0 }
      })
      const { ability, error } = estimateOf(responses)
      expect(Math.abs(ability - truth)).toBeLessThan(3 * error)
    }
  })
})

describe('the next item', () => {
  it('is as hard as suits', () => {
    expect(ask()?.difficulty).toBe(3)
    expect(ask({ estimate: { ability: 2, error: 1 } })?.difficulty).toBe(5)
    expect(ask({ estimate: { ability: -0.9, error: 1 } })?.difficulty).toBe(2)
  })

  it('is repeatable, another for others, and unseen ones first', () => {
    expect(ask()).toEqual(ask())
    const firsts = new Set(Array.from({ length: 40 }, (_, i) => ask({ seed: `s${i}` })?.id))
    expect(firsts.size).toBe(3)
    const seen = new Map<ItemId, number>(bank.filter((i) => i.id !== '3b').map((i) => [i.id, 1]))
    for (let i = 0; i < 20; i++) expect(ask({ seed: `s${i}`, seen })?.id).toBe('3b')
  })

  it('is never given twice', () => {
    const given = bank.slice(0, 14).map((i) => i.id)
    expect(ask({ given }, 20)?.id).toBe(bank[14]?.id)
    expect(ask({ given: bank.map((i) => i.id) }, 20)).toBeNull()
  })

  it('ends after so many, or once the estimate is sure enough, but not before the first', () => {
    const given = [bank[6]!.id, bank[7]!.id]
    expect(ask({ given }, 2)).toBeNull()
    expect(ask({ given, estimate: { ability: 0, error: 0.6 } }, 10, 0.6)).toBeNull()
    expect(ask({ given, estimate: { ability: 0, error: 0.61 } }, 10, 0.6)).not.toBeNull()
    expect(ask({}, 10, 9)).not.toBeNull()
  })
})

describe('the score of the whole bank', () => {
  it('is what the ability is expected to earn, by points', () => {
    expect(expectedOverBank(bank, 0)).toBeCloseTo(0.5, 8)
    const two = [single('x', { difficulty: 3, points: 3 }), single('y', { difficulty: 5, points: 1 })]
    expect(expectedOverBank(two, 0)).toBeCloseTo((3 * 0.5 + 0.1192) / 4, 4)
    expect(expectedOverBank([], 0)).toBe(0)
  })
})
