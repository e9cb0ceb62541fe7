import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Instant } from '../base'
import { clashes } from './clashes'

const span = (from: number, until: number) => ({ startsAt: from as Instant, endsAt: until as Instant })

describe('clashes', () => {
  it('counts meetings at the same time, and none that only touch', () => {
    const of = [span(0, 10), span(20, 30), span(40, 50)]
    expect(clashes(of, [span(10, 20), span(30, 40)])).toBe(0)
    expect(clashes(of, [span(5, 6), span(7, 8), span(29, 41)])).toBe(3)
    expect(clashes(of, [span(0, 100)])).toBe(3)
    expect(clashes(of, [])).toBe(0)
    expect(clashes([], of)).toBe(0)
  })

  it('counts as comparing each with each does', () => {
    const spans = fc
      .array(fc.tuple(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 })), { maxLength: 20 })
      .map((steps) => {
        let at = 0
        return steps.map(([gap, length]) => {
          const from = at + gap
          at = from + length
          return span(from, at)
        })
      })
    fc.assert(
      fc.property(spans, spans, (a, b) => {
        const slow = a.filter((x) => b.some((y) => x.startsAt < y.endsAt && y.startsAt < x.endsAt)).length
        expect(clashes(a, b)).toBe(slow)
      }),
    )
  })
})
