import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import type { UserId } from '../base'
import { byBounds } from './byBounds'
import { evenGroups } from './evenGroups'
import { byNaturalBreaks } from './naturalBreaks'
import type { Scored, Split, Wishes } from './types'

const learners = (...shares: readonly (number | null)[]): readonly Scored[] =>
  shares.map((share, i) => ({ learnerId: ids.user(`l${i}`), share }))
const everybody = ({ groups, unscored }: Split) => [...groups.flat(), ...unscored].sort()
const shares = fc.array(fc.option(fc.nat(20).map((n) => n / 20)), { minLength: 1, maxLength: 12 })

describe('groups between bounds', () => {
  it('go by the whole per cent that is shown', () => {
    const split = byBounds(learners(0.594, 0.596, 0.84, 0.846, null, 1), [85, 60])
    expect(split).toEqual({ groups: [['l0'], ['l1', 'l2'], ['l3', 'l5']], unscored: ['l4'] })
  })

  it('have everybody once', () => {
    fc.assert(
      fc.property(shares, fc.array(fc.nat(100), { maxLength: 4 }), (list, bounds) => {
        const scored = learners(...list)
        expect(everybody(byBounds(scored, bounds))).toEqual(scored.map((s) => s.learnerId).sort())
      }),
    )
  })
})

describe('natural breaks', () => {
  it('are where the shares leave gaps', () => {
    const split = byNaturalBreaks(learners(0.9, 0.1, 0.5, 0.15, 0.55, 0.92, null, 0.12), 3)
    expect(split.groups).toEqual([
      ['l1', 'l3', 'l7'],
      ['l2', 'l4'],
      ['l0', 'l5'],
    ])
    expect(split.unscored).toEqual(['l6'])
  })

  it('are fewer where there are fewer different shares, and none where there is no share', () => {
    expect(byNaturalBreaks(learners(0.5, 0.5, 0.5), 3).groups).toEqual([['l0', 'l1', 'l2']])
    expect(byNaturalBreaks(learners(0.5, 1, 0.5), 3).groups).toEqual([['l0', 'l2'], ['l1']])
    expect(byNaturalBreaks(learners(null, null), 3)).toEqual({ groups: [], unscored: ['l0', 'l1'] })
    expect(byNaturalBreaks(learners(0.2, 0.9), 1).groups).toEqual([['l0', 'l1']])
  })

  it('cost as little as the best of all ways to cut', () => {
    const costOf = (list: readonly number[]) => {
      const mean = list.reduce((a, b) => a + b, 0) / list.length
      return list.reduce((sum, x) => sum + (x - mean) ** 2, 0)
    }
    /** All ways to cut sorted values into k runs, each tried. */
    const cheapest = (sorted: readonly number[], k: number): number =>
      k === 1
        ? costOf(sorted)
        : Math.min(
            ...sorted.slice(k - 1).map((_, i) => {
              const at = i + k - 1
              return cheapest(sorted.slice(0, at), k - 1) + costOf(sorted.slice(at))
            }),
          )
    fc.assert(
      fc.property(shares, fc.integer({ min: 1, max: 5 }), (list, k) => {
        const scored = learners(...list)
        const split = byNaturalBreaks(scored, k)
        expect(everybody(split)).toEqual(scored.map((s) => s.learnerId).sort())
        const values = list.flatMap((s) => s ?? []).sort((a, b) => a - b)
        const different = new Set(values).size
        expect(split.groups.length).toBe(Math.min(k, different))
        if (different === 0) return
        const shareOf = new Map(scored.map((s) => [s.learnerId, s.share ?? 0]))
        const cost = split.groups.reduce((sum, g) => sum + costOf(g.map((id) => shareOf.get(id) ?? 0)), 0)
        expect(cost).toBeCloseTo(cheapest(values, split.groups.length), 9)
      }),
      { numRuns: 400 },
    )
  })
})

describe('even groups', () => {
  const wish = (part: Partial<Wishes>): Wishes => ({ together: [], apart: [], ...part })
  const [a, b, c, d] = ['l0', 'l1', 'l2', 'l3'].map(ids.user) as [UserId, UserId, UserId, UserId]

  it('are alike, or mixed', () => {
    const four = learners(0.1, 0.2, 0.8, 0.9)
    expect(evenGroups(four, 2, 'alike').value?.groups.map((g) => [...g].sort())).toEqual([
      [a, b],
      [c, d],
    ])
    expect(evenGroups(four, 2, 'mixed').value?.groups.map((g) => [...g].sort())).toEqual([
      [a, d],
      [b, c],
    ])
    expect(evenGroups(four, 9, 'mixed').value?.groups).toHaveLength(4)
  })

  it('keep together and apart, or say because of whom they cannot', () => {
    const four = learners(0.1, 0.2, 0.8, 0.9)
    const apart = evenGroups(four, 2, 'alike', wish({ apart: [[a, b]] })).value?.groups ?? []
    expect(apart.some((g) => g.includes(a) && g.includes(b))).toBe(false)
    const both = wish({
      together: [
        [a, b],
        [b, c],
      ],
      apart: [[a, c]],
    })
    expect(evenGroups(four, 2, 'alike', both).error).toEqual({
      code: 'grouping/together-and-apart',
      learnerIds: [a, c],
    })
    expect(evenGroups(four, 2, 'alike', wish({ together: [[a, b, c]] })).error).toMatchObject({
      code: 'grouping/too-many-together',
      most: 2,
    })
    const crowd = wish({
      apart: [
        [a, b],
        [b, c],
        [c, a],
      ],
    })
    const refused = evenGroups(four, 2, 'mixed', crowd).error
    expect(refused?.code === 'grouping/too-many-apart' && [...refused.learnerIds].sort()).toEqual([a, b, c])
    // two pairs and two single ones that are apart from both pairs: no two groups of three
    const six = learners(0, 0, 0, 0, 0, 0)
    const [e, f] = [ids.user('l4'), ids.user('l5')]
    const none = wish({
      together: [
        [a, b],
        [c, d],
      ],
      apart: [
        [a, e],
        [c, e],
      ],
    })
    expect(evenGroups(six, 2, 'mixed', none).error?.code).toBe('grouping/no-such-groups')
    expect(
      evenGroups([...six], 3, 'mixed', none).value?.groups.some((g) => g.includes(e) && g.includes(f)),
    ).toBe(true)
  })

  it('have everybody once, differ by one at most, and obey every wish or are refused', () => {
    const pair = fc.tuple(fc.nat(11), fc.nat(11))
    fc.assert(
      fc.property(
        shares,
        fc.integer({ min: 1, max: 6 }),
        fc.constantFrom('alike' as const, 'mixed' as const),
        fc.array(pair, { maxLength: 3 }),
        fc.array(pair, { maxLength: 6 }),
        (list, k, way, joined, parted) => {
          const scored = learners(...list)
          const known = new Set(scored.map((s) => s.learnerId))
          const pairs = (of: readonly (readonly [number, number])[]) =>
            of
              .map(([x, y]) => [ids.user(`l${x}`), ids.user(`l${y}`)] as const)
              .filter(([x, y]) => x !== y && known.has(x) && known.has(y))
          const wishes = wish({ together: pairs(joined), apart: pairs(parted) })
          const found = evenGroups(scored, k, way, wishes)
          if (!found.ok) return
          const { groups } = found.value
          expect(groups.flat().sort()).toEqual(scored.map((s) => s.learnerId).sort())
          const sizes = groups.map((g) => g.length)
          expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1)
          const groupOf = (id: UserId) => groups.findIndex((g) => g.includes(id))
          for (const [first, ...others] of wishes.together)
            for (const other of others) expect(groupOf(other)).toBe(groupOf(first!))
          for (const [x, y] of wishes.apart) expect(groupOf(x)).not.toBe(groupOf(y))
        },
      ),
      { numRuns: 500 },
    )
  })

  it('are found whenever there are any', () => {
    /** Whether any way to seat everybody obeys: all are tried. */
    const canBe = (n: number, k: number, apart: readonly (readonly [number, number])[]): boolean => {
      const most = (i: number) => Math.floor(n / k) + (i < n % k ? 1 : 0)
      const seats: number[] = []
      const go = (): boolean => {
        if (seats.length === n) return true
        for (let g = 0; g < k; g++) {
          if (seats.filter((s) => s === g).length >= most(g)) continue
          const here = seats.length
          if (apart.some(([x, y]) => (x === here && seats[y] === g) || (y === here && seats[x] === g)))
            continue
          seats.push(g)
          if (go()) return true
          seats.pop()
        }
        return false
      }
      return go()
    }
    const cases = fc.tuple(
      fc.integer({ min: 2, max: 7 }),
      fc.integer({ min: 1, max: 3 }),
      fc.array(fc.tuple(fc.nat(6), fc.nat(6)), { maxLength: 8 }),
    )
    fc.assert(
      fc.property(cases, ([n, k, raw]) => {
        const pairs = raw.filter(([x, y]) => x !== y && x < n && y < n)
        const count = Math.min(n, k)
        const apart = pairs.map(([x, y]) => [ids.user(`l${x}`), ids.user(`l${y}`)] as const)
        const scored = learners(...Array.from({ length: n }, (_, i) => i / n))
        expect(evenGroups(scored, k, 'mixed', wish({ apart })).ok).toBe(canBe(n, count, pairs))
      }),
      { numRuns: 400 },
    )
  })
})
