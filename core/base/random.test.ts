import { describe, expect, it } from 'vitest'
import { seedOf, seededRandom, shuffled } from './index'

describe('seeded random', () => {
  it('repeats for one seed and differs for another', () => {
    const run = (seed: number) => Array.from({ length: 5 }, seededRandom(seed))
    expect(run(7)).toEqual(run(7))
    expect(run(7)).not.toEqual(run(8))
  })
  it('hashes text to the published FNV-1a value', () => {
    expect(seedOf('')).toBe(0x811c9dc5)
    expect(seedOf('a')).toBe(0xe40c292c)
  })
  it('shuffles evenly: each of 3 values is first about a third of the time', () => {
    const random = seededRandom(1)
    const first = [0, 0, 0]
    for (let i = 0; i < 6000; i++) first[shuffled([0, 1, 2], random)[0]!]!++
    for (const count of first) expect(Math.abs(count - 2000)).toBeLessThan(150)
  })
  it('keeps every value and leaves the input alone', () => {
    const values = [1, 2, 3, 4, 5, 6]
    expect(shuffled(values, seededRandom(3)).sort()).toEqual(values)
    expect(values).toEqual([1, 2, 3, 4, 5, 6])
  })
})
