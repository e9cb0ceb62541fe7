import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { correlationOf } from './correlation'

type Pairs = readonly (readonly [number, number])[]

describe('a correlation', () => {
  it('is the point-biserial one where one side is right or wrong', () => {
    // right: 8 and 6, mean 7; wrong: 4 and 2, mean 3; s is the root of 5: (7 - 3) / s * 0.5 = 0.894
    const pairs: Pairs = [
      [1, 8],
      [1, 6],
      [0, 4],
      [0, 2],
    ]
    expect(correlationOf(pairs)).toBeCloseTo(2 / Math.sqrt(5), 12)
    expect(correlationOf(pairs.map(([x, y]) => [1 - x, y]))).toBeCloseTo(-2 / Math.sqrt(5), 12)
  })

  it('is not there where one side does not vary', () => {
    expect(correlationOf([])).toBeNull()
    expect(correlationOf([[1, 2]])).toBeNull()
    expect(
      correlationOf([
        [1, 2],
        [1, 3],
      ]),
    ).toBeNull()
    expect(
      correlationOf([
        [0, 0.1 + 0.2],
        [1, 0.3],
      ]),
    ).toBeNull()
  })

  it('is what the textbook formula of means and deviations gives', () => {
    const pair = fc.tuple(fc.nat(1), fc.nat(20))
    fc.assert(
      fc.property(fc.array(pair, { minLength: 2, maxLength: 40 }), (pairs) => {
        const of = (right: number) => pairs.filter(([x]) => x === right).map(([, y]) => y)
        const mean = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / list.length
        const all = pairs.map(([, y]) => y)
        const deviation = Math.sqrt(mean(all.map((y) => (y - mean(all)) ** 2)))
        const p = of(1).length / pairs.length
        const found = correlationOf(pairs)
        if (p === 0 || p === 1 || deviation < 1e-9) expect(found).toBeNull()
        else expect(found).toBeCloseTo(((mean(of(1)) - mean(of(0))) / deviation) * Math.sqrt(p * (1 - p)), 9)
      }),
      { numRuns: 500 },
    )
  })
})
