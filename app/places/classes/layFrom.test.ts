import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { usualFrom } from './layFrom'

const year = { firstOn: isoDay('2026-08-31'), lastOn: isoDay('2027-06-11') }

describe('usualFrom', () => {
  it('is the first day before the year and in its first two weeks, and today afterwards', () => {
    const from = (on: string) => usualFrom(year, isoDay(on))
    expect(from('2026-08-10')).toBe('year')
    expect(from('2026-09-14')).toBe('year')
    expect(from('2026-09-15')).toBe('today')
    expect(from('2026-11-30')).toBe('today')
    expect(from('2027-06-11')).toBe('today')
    // a year that is over is laid as a whole
    expect(from('2027-06-12')).toBe('year')
  })
})
