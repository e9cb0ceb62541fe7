import { describe, expect, it } from 'vitest'
import { shortNameOf } from './shortName'

describe('shortNameOf', () => {
  it.each([
    ['Science 8 A', '8 A'],
    ['Science 10 B', '10 B'],
    ['History of the Wider World', 'HOTWW'],
    ['Science 8 of the early morning', 'S8OTEM'],
    ['', ''],
  ])('of “%s” is “%s”', (name, short) => {
    expect(shortNameOf(name)).toBe(short)
    expect(short.length).toBeLessThanOrEqual(8)
  })
})
