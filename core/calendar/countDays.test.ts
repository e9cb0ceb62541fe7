import { describe, expect, it } from 'vitest'
import { aYear, closure } from '../../tests/support/made'
import { isoDay } from '../base'
import { countDays } from './countDays'

describe('countDays', () => {
  // Mon 31 Aug to Fri 25 Sep 2026: four weeks of five days
  const plain = aYear({ firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-25'), notes: [], terms: [] })

  it('counts school days, closed ones left out', () => {
    expect(countDays(plain).all).toEqual({ days: 20, byLabel: {} })
    const closed = { ...plain, notes: [closure('2026-09-07', '2026-09-08')] }
    expect(countDays(closed).all.days).toBe(18)
  })

  it('counts each term and each letter', () => {
    const year = {
      ...plain,
      notes: [closure('2026-09-07', '2026-09-07')],
      rotation: { labels: ['A', 'B'], advance: 'instructional' as const, overrides: [] },
      terms: [
        { name: 'One', firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-11') },
        { name: 'Two', firstOn: isoDay('2026-09-14'), lastOn: isoDay('2026-09-25') },
      ],
    }
    // 5 + 4 days in term one begin with A: five A, four B; ten days follow, beginning with B
    expect(countDays(year)).toEqual({
      all: { days: 19, byLabel: { A: 10, B: 9 } },
      terms: [
        { name: 'One', days: 9, byLabel: { A: 5, B: 4 } },
        { name: 'Two', days: 10, byLabel: { A: 5, B: 5 } },
      ],
    })
  })
})
