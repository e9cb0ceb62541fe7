import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ids, single } from '../../../tests/support/made'
import type { ItemId } from '../../base'
import type { Item } from '../../library'
import type { Share } from '../types'
import { askedFor, bankParts, drawItems, fillsShare, hardnessOf, shortOf } from './draw'

const item = (id: string, standard: string | null, difficulty: number): Item =>
  single(id, { standard, difficulty })
const share = (count: number, part: Partial<Share> = {}): Share => ({
  standard: null,
  hardness: null,
  count,
  ...part,
})
/** Two standards, each with an easy, a middle and a hard item. */
const bank = ['A', 'B'].flatMap((s) => [1, 3, 5].map((d) => item(`${s}${d}`, s, d)))
const idsOf = (items: readonly Item[]) => items.map((i) => i.id as string)

const aBank = fc
  .array(
    fc.record({ standard: fc.constantFrom('A', 'B', null), difficulty: fc.integer({ min: 1, max: 5 }) }),
    {
      maxLength: 14,
    },
  )
  .map((list) => list.map((of, i) => item(`q${i}`, of.standard, of.difficulty)))
const someShares = fc.array(
  fc.record({
    standard: fc.constantFrom('A', 'B', null),
    hardness: fc.constantFrom('easy' as const, 'middle' as const, 'hard' as const, null),
    count: fc.integer({ min: 1, max: 4 }),
  }),
  { maxLength: 4 },
)
/** The slow twin: the largest number of places that items can fill, by trying all. */
function mostByTrying(items: readonly Item[], places: readonly Share[]): number {
  const [first, ...rest] = places
  if (!first) return 0
  const with_ = items
    .filter((i) => fillsShare(i, first))
    .map(
      (i) =>
        1 +
        mostByTrying(
          items.filter((o) => o.id !== i.id),
          rest,
        ),
    )
  return Math.max(mostByTrying(items, rest), ...with_)
}

describe('a draw', () => {
  it('knows easy, middle and hard', () => {
    expect([1, 2, 3, 4, 5].map(hardnessOf)).toEqual(['easy', 'easy', 'middle', 'hard', 'hard'])
  })

  it('fills every share, in the order of the piece', () => {
    const shares = [share(1, { standard: 'A', hardness: 'hard' }), share(1, { standard: 'B' })]
    for (const seed of ['a', 'b', 'c', 'd']) {
      const [a, b] = drawItems(bank, shares, seed)
      expect(a?.id).toBe('A5')
      expect(b?.standard).toBe('B')
    }
  })

  it('gives an item to the share that nothing else can fill', () => {
    // the only hard item of A has to be kept for the second share
    const few = [item('A5', 'A', 5), item('A1', 'A', 1)]
    const shares = [share(1, { standard: 'A' }), share(1, { hardness: 'hard' })]
    for (const seed of ['a', 'b', 'c', 'd', 'e'])
      expect(idsOf(drawItems(few, shares, seed)).sort()).toEqual(['A1', 'A5'])
  })

  it('takes what was not seen before, and of the rest what was seen least', () => {
    const seen = new Map<ItemId, number>(bank.map((i) => [i.id, i.standard === 'A' ? 2 : 1]))
    seen.delete(ids.item('A3'))
    const drawn = idsOf(drawItems(bank, [share(4)], 'x', seen))
    expect(drawn.sort()).toEqual(['A3', 'B1', 'B3', 'B5'])
  })

  it('says by how many a bank is short', () => {
    expect(shortOf(bank, [share(6)])).toBe(0)
    expect(shortOf(bank, [share(8)])).toBe(2)
    expect(shortOf(bank, [share(3, { standard: 'A', hardness: 'hard' })])).toBe(2)
    expect(askedFor([share(3), share(2)])).toBe(5)
  })

  it('is repeatable, without an item twice, and never shorter than it has to be', () => {
    fc.assert(
      fc.property(aBank, someShares, fc.string(), (items, shares, seed) => {
        const drawn = drawItems(items, shares, seed)
        expect(drawItems(items, shares, seed)).toEqual(drawn)
        expect(new Set(idsOf(drawn)).size).toBe(drawn.length)
        expect(drawn.length).toBe(askedFor(shares) - shortOf(items, shares))
      }),
    )
  })

  it('fills as many places as trying everything would', () => {
    const small = aBank.map((items) => items.slice(0, 6))
    const few = someShares.map((shares) =>
      shares.slice(0, 2).map((s) => ({ ...s, count: Math.min(2, s.count) })),
    )
    fc.assert(
      fc.property(small, few, fc.string(), (items, shares, seed) => {
        const places = shares.flatMap((s) => Array.from({ length: s.count }, () => s))
        expect(drawItems(items, shares, seed).length).toBe(mostByTrying(items, places))
      }),
      { numRuns: 60 },
    )
  })

  it('repeats nothing while something is left that was not seen', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 12 }), (size, count) => {
        const items = Array.from({ length: size }, (_, i) => item(`q${i}`, null, 1 + (i % 5)))
        const times = new Map<ItemId, number>()
        for (let n = 1; n <= 6; n++) {
          for (const { id } of drawItems(items, [share(count)], `try ${n}`, times))
            times.set(id, (times.get(id) ?? 0) + 1)
          const all = items.map((i) => times.get(i.id) ?? 0)
          expect(Math.max(...all) - Math.min(...all)).toBeLessThanOrEqual(1)
        }
      }),
    )
  })

  it('is even: over many learners every item comes as often', () => {
    const counts = new Map(bank.map((i) => [i.id as string, 0]))
    const learners = 3000
    for (let n = 0; n < learners; n++)
      for (const id of idsOf(drawItems(bank, [share(2)], `learner ${n}`)))
        counts.set(id, (counts.get(id) ?? 0) + 1)
    // each with chance 1/3: 1000 of 3000, with a standard deviation of 26
    for (const n of counts.values()) expect(Math.abs(n - learners / 3)).toBeLessThan(5 * 26)
  })

  it('counts what a bank holds by standard and hardness', () => {
    expect(bankParts([...bank, item('A1b', 'A', 2), item('N', null, 3)])).toEqual([
      { standard: null, hardness: 'middle', count: 1 },
      { standard: 'A', hardness: 'easy', count: 2 },
      { standard: 'A', hardness: 'hard', count: 1 },
      { standard: 'A', hardness: 'middle', count: 1 },
      { standard: 'B', hardness: 'easy', count: 1 },
      { standard: 'B', hardness: 'hard', count: 1 },
      { standard: 'B', hardness: 'middle', count: 1 },
    ])
  })
})
