import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import {
  addDays,
  dayNumber,
  dayOfNumber,
  daysThrough,
  isoDay,
  mondayOf,
  parseIsoDay,
  weekdayOf,
} from './index'

describe('calendar dates', () => {
  it('reads real dates only, without clamping', () => {
    expect(parseIsoDay('2028-02-29')).toBe('2028-02-29')
    for (const bad of ['2027-02-29', '2026-02-31', '2026-13-01', '2026-1-1', '2026-10-14T00:00', ''])
      expect(parseIsoDay(bad)).toBeNull()
    expect(() => isoDay('2026-02-31')).toThrow('not a calendar date')
  })
  it('takes exactly the dates that the calendar has', () => {
    const slowly = (text: string) => {
      const ms = Date.parse(`${text}T00:00:00Z`)
      return Number.isNaN(ms) ? null : new Date(ms).toISOString().slice(0, 10) === text ? text : null
    }
    const two = (n: number) => String(n).padStart(2, '0')
    for (const year of [1600, 1900, 2000, 2026, 2027, 2028, 2100]) {
      for (let month = 0; month <= 13; month++) {
        for (let day = 0; day <= 32; day++) {
          const text = `${year}-${two(month)}-${two(day)}`
          expect(parseIsoDay(text), text).toBe(slowly(text))
        }
      }
    }
  })

  it('knows weekdays and Mondays', () => {
    expect(weekdayOf(isoDay('2026-10-14'))).toBe(3)
    expect(weekdayOf(isoDay('1969-12-31'))).toBe(3)
    expect(mondayOf(isoDay('2026-10-18'))).toBe('2026-10-12')
    expect(mondayOf(isoDay('2026-10-12'))).toBe('2026-10-12')
  })
  it('counts over month, year and leap day', () => {
    expect(addDays(isoDay('2028-02-28'), 2)).toBe('2028-03-01')
    expect(addDays(isoDay('2027-01-01'), -1)).toBe('2026-12-31')
    expect(daysThrough(isoDay('2026-12-30'), isoDay('2027-01-02'))).toHaveLength(4)
    expect(daysThrough(isoDay('2026-12-30'), isoDay('2026-12-29'))).toEqual([])
  })
  it('goes to numbers and back', () => {
    fc.assert(fc.property(fc.integer({ min: -20_000, max: 40_000 }), (n) => dayNumber(dayOfNumber(n)) === n))
  })
})
