import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addMinutes, mustBeOk } from '../base'
import { at } from '../../tests/support/made'
import { DOORS, counted, givenBack, secondsAfter } from './doors'
import type { DoorCount, DoorRule } from './doors'

const RULE: DoorRule = { free: 3, firstSeconds: 2, mostSeconds: 60, forgetMinutes: 10, whenRight: 'forget' }
const NOW = at('10-21T20:00')
const seconds = (n: number) => addMinutes(NOW, n / 60)

describe('a door', () => {
  it('takes the free tries at once, then makes each wait twice as long', () => {
    expect([1, 2, 3, 4, 5, 6, 7, 8, 9, 90].map((n) => secondsAfter(RULE, n))).toEqual([
      0, 0, 2, 4, 8, 16, 32, 60, 60, 60,
    ])
  })

  it('counts, refuses while it waits without counting, and takes the next in time', () => {
    let count: DoorCount | null = null
    for (let i = 0; i < 3; i++) count = mustBeOk(counted(count, RULE, NOW), 'free')
    expect(count).toMatchObject({ tries: 3, nextAt: seconds(2) })
    expect(counted(count, RULE, seconds(1)).error).toEqual({ until: seconds(2) })
    expect(mustBeOk(counted(count, RULE, seconds(2)), 'later')).toMatchObject({
      tries: 4,
      nextAt: seconds(6),
    })
  })

  it('forgets after a while without tries, and gives a right try back', () => {
    const full = { tries: 9, nextAt: seconds(60), expiresAt: seconds(660) }
    expect(mustBeOk(counted(full, RULE, seconds(660)), 'anew').tries).toBe(1)
    expect(givenBack(full, NOW)).toEqual({ ...full, tries: 8, nextAt: NOW })
  })

  it('never lets more through in an hour than the free ones and those at the longest wait', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.values(DOORS)),
        fc.array(fc.integer({ min: 0, max: 3600 }), { maxLength: 400 }),
        (rule, moments) => {
          let count: DoorCount | null = null
          let through = 0
          for (const moment of moments.sort((a, b) => a - b)) {
            const next = counted(count, rule, seconds(moment))
            if (!next.ok) continue
            count = next.value
            through++
          }
          // the waits double, so that an hour holds only few beyond the free ones
          const most = rule.free + 12 + Math.ceil(3600 / rule.mostSeconds)
          expect(through).toBeLessThanOrEqual(rule.forgetMinutes < 60 ? 2 * most : most)
        },
      ),
      { seed: 8, numRuns: 300 },
    )
  })
})
