import { describe, expect, it } from 'vitest'
import { READY_RULES } from '#core/attempts'
import { kinderThan } from './ownLimits'

describe('kinderThan', () => {
  it('is one more try, and half as much time again', () => {
    expect(kinderThan(READY_RULES.test, 'timeLimitMinutes')).toBe(60)
    expect(kinderThan({ ...READY_RULES.test, timeLimitMinutes: 45 }, 'timeLimitMinutes')).toBe(68)
    expect(kinderThan(READY_RULES.test, 'maxAttempts')).toBe(2)
  })

  it('is something usual where everybody may as they like', () => {
    expect(kinderThan(READY_RULES.practice, 'maxAttempts')).toBe(3)
    expect(kinderThan(READY_RULES.practice, 'timeLimitMinutes')).toBe(30)
    expect(kinderThan(READY_RULES.practice, 'passPercent')).toBe(50)
  })
})
