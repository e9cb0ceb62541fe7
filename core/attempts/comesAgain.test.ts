import { describe, expect, it } from 'vitest'
import { at, rules } from '../../tests/support/made'
import { asksAgain, comesAgain } from './comesAgain'

const now = at('10-13T12:00')
const shares = [{ standard: null, hardness: null, count: 2 }]

describe('questions that come again', () => {
  it('do where a counted further try asks the same', () => {
    expect(asksAgain(rules({ maxAttempts: 2 }))).toBe(true)
    expect(asksAgain(rules({ maxAttempts: 1 }))).toBe(false)
    expect(asksAgain(rules({ maxAttempts: null }))).toBe(false)
    expect(asksAgain(rules({ maxAttempts: 2, items: { kind: 'drawn', shares, again: 'same' } }))).toBe(true)
    expect(asksAgain(rules({ maxAttempts: 2, items: { kind: 'drawn', shares, again: 'new' } }))).toBe(false)
  })

  it('do until the last try is begun or it has closed', () => {
    const of = (used: number, closes: typeof now | null = null, maxAttempts: number | null = 2) =>
      comesAgain(rules(), { maxAttempts, closes }, used, now)
    expect([of(1), of(2), of(1, null, 3)]).toEqual([true, false, true])
    expect([of(1, now), of(1, at('10-13T12:01'))]).toEqual([false, true])
    expect(of(1, null, null)).toBe(false)
  })
})
