import { describe, expect, it } from 'vitest'
import { rules } from '../../tests/support/made'
import { faultInRules } from './checkRules'
import type { ItemChoice } from './types'

const drawn = (...counts: number[]): ItemChoice => ({
  kind: 'drawn',
  again: 'new',
  shares: counts.map((count) => ({ standard: null, hardness: null, count })),
})

describe('faultInRules', () => {
  it('names the field a learner could not meet', () => {
    expect(faultInRules(rules())).toBeNull()
    expect(faultInRules(rules({ maxAttempts: null }))).toBeNull()
    expect(faultInRules(rules({ maxAttempts: 0 }))).toBe('maxAttempts')
    expect(faultInRules(rules({ maxAttempts: 1.5 }))).toBe('maxAttempts')
    expect(faultInRules(rules({ waitMinutes: -1 }))).toBe('waitMinutes')
    expect(faultInRules(rules({ timeLimitMinutes: 0 }))).toBe('timeLimitMinutes')
    const late = { percentPerDay: 101, per: 'calendar-day', floorPercent: 50 } as const
    expect(faultInRules(rules({ late }))).toBe('late')
  })

  it('wants at least one item, and whole numbers of them', () => {
    expect(faultInRules(rules({ items: drawn(3, 2) }))).toBeNull()
    for (const items of [drawn(), drawn(0), drawn(1.5), drawn(60, 60)])
      expect(faultInRules(rules({ items }))).toBe('items')
    const adaptive = { kind: 'adaptive', most: 8, untilError: 0.6 } as const
    expect(faultInRules(rules({ items: adaptive }))).toBeNull()
    expect(faultInRules(rules({ items: { ...adaptive, most: 0 } }))).toBe('items')
    expect(faultInRules(rules({ items: { ...adaptive, untilError: 0 } }))).toBe('items')
  })

  it('wants a pass mark that somebody can miss and reach', () => {
    expect(faultInRules(rules({ passPercent: 70 }))).toBeNull()
    expect(faultInRules(rules({ passPercent: 0 }))).toBe('passPercent')
    expect(faultInRules(rules({ passPercent: 101 }))).toBe('passPercent')
  })
})
