import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { askedFor } from './draw'
import { sharesFor } from './sharesFor'

describe('sharesFor', () => {
  it('parts the items of each standard by hardness', () => {
    expect(sharesFor(['a', 'b'], 5, { easy: 40, middle: 40, hard: 20 })).toEqual([
      { standard: 'a', hardness: 'easy', count: 2 },
      { standard: 'a', hardness: 'middle', count: 2 },
      { standard: 'a', hardness: 'hard', count: 1 },
      { standard: 'b', hardness: 'easy', count: 2 },
      { standard: 'b', hardness: 'middle', count: 2 },
      { standard: 'b', hardness: 'hard', count: 1 },
    ])
    // a third of four each: the one that is left is easy
    expect(sharesFor(['a'], 4, { easy: 1, middle: 1, hard: 1 }).map((s) => s.count)).toEqual([2, 1, 1])
    expect(sharesFor(['a'], 3, { easy: 0, middle: 0, hard: 100 })).toEqual([
      { standard: 'a', hardness: 'hard', count: 3 },
    ])
  })

  it('takes whatever comes without a mix', () => {
    const any = [{ standard: 'a', hardness: null, count: 3 }]
    expect(sharesFor(['a'], 3, null)).toEqual(any)
    expect(sharesFor(['a'], 3, { easy: 0, middle: 0, hard: 0 })).toEqual(any)
    expect(sharesFor([], 3, null)).toEqual([])
  })

  it('never loses an item', () => {
    const percent = fc.integer({ min: 0, max: 100 })
    const mix = fc.record({ easy: percent, middle: percent, hard: percent })
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20 }), mix, (each, of) => {
        expect(askedFor(sharesFor(['a', 'b'], each, of))).toBe(2 * each)
      }),
    )
  })
})
