import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { at, ids, score, single } from '../../tests/support/made'
import type { UserId } from '../base'
import { HALF_LIFE_DAYS, standingOnStandards } from './standingOnStandards'
import type { DatedTry } from './standingOnStandards'
import { spreadOnStandard } from './spreadOnStandard'

const [ann, bo, cy] = [ids.user('ann'), ids.user('bo'), ids.user('cy')]
const DAY = 86_400_000
const items = [single('1', { standard: 'A' }), single('2', { standard: 'A' }), single('3', { standard: 'B' })]
const aTry = (learnerId: UserId, daysAgo: number, ...points: readonly number[]): DatedTry => ({
  learnerId,
  items,
  at: (at('11-30T12:00') - daysAgo * DAY) as DatedTry['at'],
  score: { ...score(0), items: points.map((p, i) => ({ itemId: ids.item(`${i + 1}`), points: p, of: 2 })) },
})
const on = (tries: readonly DatedTry[], id: UserId, code: string) =>
  standingOnStandards(tries).get(id)?.get(code)

describe('standing on standards', () => {
  it('counts an answer of six weeks ago half', () => {
    // now 2 + 2 of 4 points; 42 days ago 0 of 4: (4 · 1 + 0 · ½) ∕ (4 · 1 + 4 · ½) = 4 ∕ 6
    const standing = on([aTry(ann, 0, 2, 2), aTry(ann, HALF_LIFE_DAYS, 0, 0)], ann, 'A')
    expect(standing?.share).toBeCloseTo(2 / 3, 12)
    expect(standing).toMatchObject({ items: 4, few: false, lastAt: at('11-30T12:00') })
  })

  it('tells what was not seen from zero, and says where few items are', () => {
    const tries = [aTry(ann, 3, 0, 0), aTry(bo, 3, 1)]
    expect(on(tries, ann, 'A')).toMatchObject({ share: 0, items: 2, few: true })
    expect(on(tries, ann, 'B')).toBeUndefined()
    expect(on(tries, cy, 'A')).toBeUndefined()
    expect(on(tries, bo, 'A')).toMatchObject({ share: 0.5, items: 1 })
  })

  it('leaves out what waits to be scored, items of no standard, and items that are gone', () => {
    const waits = aTry(ann, 0, 2)
    const [first] = waits.score.items
    const tries: DatedTry[] = [
      { ...waits, score: { ...waits.score, items: [{ ...first!, waits: true }] } },
      { ...aTry(ann, 0, 2), items: [single('1', { standard: null })] },
      { ...aTry(ann, 0, 2), items: [] },
    ]
    expect(on(tries, ann, 'A')).toBeUndefined()
  })

  it('is the same as a sum that fades from answer to answer, and lies within what was earned', () => {
    const answers = fc.array(fc.tuple(fc.nat(400), fc.nat(2), fc.nat(2)), { minLength: 1, maxLength: 30 })
    fc.assert(
      fc.property(answers, (list) => {
        const tries = list.map(([days, a, b]) => aTry(ann, days, a, b))
        const standing = on(tries, ann, 'A')!
        // the slow way: from the oldest on, what is there fades by the days between
        let [points, of, last] = [0, 0, 400]
        for (const [days, a, b] of [...list].sort((x, y) => y[0] - x[0])) {
          const fade = 0.5 ** ((last - days) / HALF_LIFE_DAYS)
          points = points * fade + a + b
          of = of * fade + 4
          last = days
        }
        expect(standing.share).toBeCloseTo(points / of, 9)
        expect(standing.items).toBe(2 * list.length)
        const shares = list.map(([, a, b]) => (a + b) / 4)
        expect(standing.share).toBeGreaterThanOrEqual(Math.min(...shares) - 1e-9)
        expect(standing.share).toBeLessThanOrEqual(Math.max(...shares) + 1e-9)
      }),
      { numRuns: 300 },
    )
  })
})

describe('a class on a standard', () => {
  it('has everybody in one place, and a mean over those who met it', () => {
    const standings = standingOnStandards([aTry(ann, 0, 2, 2), aTry(bo, 7, 1, 0), aTry(bo, 9, 0, 0, 2)])
    const spread = spreadOnStandard([ann, bo, cy], (id) => standings.get(id)?.get('A'))
    expect(spread.who).toEqual({ low: [bo], middle: [], high: [ann], unseen: [cy] })
    // Bo: (1·1 + 0) ∕ 4, then 0 of 4 two days earlier: 1 ∕ (4 + 4·2^(−2∕42))
    expect(spread.mean).toBeCloseTo((1 + 1 / (4 + 4 * 2 ** (-2 / 42))) / 2, 12)
    expect(spread.lastAt).toBe(at('11-30T12:00'))
    const nobody = spreadOnStandard([ann, bo, cy], () => undefined)
    expect(nobody).toMatchObject({ mean: null, lastAt: null, who: { unseen: [ann, bo, cy] } })
  })
})
