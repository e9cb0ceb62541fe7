import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { aYear, closure, onDays } from '../../tests/support/made'
import { checkPattern, checkYear } from './checkYear'
import type { SchoolYear } from './types'

const codeOf = (part: Partial<SchoolYear>) => checkYear(aYear(part)).error?.code
const term = (name: string, firstOn: string, lastOn: string) => ({
  name,
  firstOn: isoDay(firstOn),
  lastOn: isoDay(lastOn),
})

describe('checkYear', () => {
  it('accepts a year whose parts agree', () => {
    expect(
      checkYear(
        aYear({ terms: [term('One', '2026-08-31', '2026-10-30'), term('Two', '2026-10-31', '2026-12-18')] }),
      ).ok,
    ).toBe(true)
  })

  it.each<[string, Partial<SchoolYear>]>([
    ['calendar/year-ends-before-start', { lastOn: isoDay('2026-08-30') }],
    ['calendar/year-out-of-range', { firstOn: isoDay('0206-08-24') }],
    ['calendar/year-out-of-range', { lastOn: isoDay('9998-06-11') }],
    ['calendar/year-too-long', { lastOn: isoDay('2028-08-30') }],
    ['calendar/unknown-zone', { zone: 'Tarn/Hollow' }],
    ['calendar/no-weekdays', { weekdays: [] }],
    ['calendar/no-instructional-days', { notes: [closure('2026-08-31', '2026-12-18')] }],
    ['calendar/note-ends-before-start', { notes: [closure('2026-09-10', '2026-09-09')] }],
    ['calendar/term-ends-before-start', { terms: [term('One', '2026-10-01', '2026-09-30')] }],
    ['calendar/term-outside-year', { terms: [term('One', '2026-08-30', '2026-09-30')] }],
    [
      'calendar/terms-overlap',
      { terms: [term('One', '2026-08-31', '2026-10-30'), term('Two', '2026-10-30', '2026-12-18')] },
    ],
    ['calendar/bad-rotation', { rotation: { labels: ['A', 'A'], advance: 'date', overrides: [] } }],
    ['calendar/bad-rotation', { rotation: { labels: [], advance: 'date', overrides: [] } }],
    [
      'calendar/bad-rotation',
      {
        rotation: {
          labels: ['A', 'B'],
          advance: 'date',
          overrides: [{ on: isoDay('2026-09-02'), label: 'C' }],
        },
      },
    ],
  ])('refuses with %s', (code, part) => {
    expect(codeOf(part)).toBe(code)
  })
})

describe('checkPattern', () => {
  const year = aYear({ rotation: { labels: ['A', 'B'], advance: 'instructional', overrides: [] } })
  const row = { day: { label: 'A' }, startMinute: 510, minutes: 80 }

  it('accepts letters of the rotation and weekdays', () => {
    expect(checkPattern(year, [row, ...onDays(3)]).ok).toBe(true)
  })

  it('refuses an empty pattern, unknown letters, impossible minutes', () => {
    expect(checkPattern(year, []).error).toEqual({ code: 'calendar/no-meetings', field: 'pattern' })
    expect(checkPattern(year, [{ ...row, day: { label: 'C' } }]).error).toMatchObject({
      code: 'calendar/unknown-label',
      label: 'C',
    })
    expect(checkPattern(year, [{ ...row, minutes: 4 }]).error).toMatchObject({
      code: 'calendar/bad-meeting-minutes',
    })
    expect(checkPattern(year, [{ ...row, startMinute: 1400 }]).error).toMatchObject({
      code: 'calendar/bad-meeting-minutes',
    })
  })

  it('refuses a row that ends before it begins', () => {
    expect(
      checkPattern(year, [{ ...row, fromOn: isoDay('2026-10-02'), throughOn: isoDay('2026-10-01') }]).error,
    ).toMatchObject({ code: 'calendar/meeting-ends-before-start', fromOn: '2026-10-02' })
    expect(
      checkPattern(year, [{ ...row, fromOn: isoDay('2026-10-01'), throughOn: isoDay('2026-10-01') }]).ok,
    ).toBe(true)
  })

  it('refuses meetings that overlap on one day, but not those that touch or hold at different dates', () => {
    expect(checkPattern(year, [row, { ...row, startMinute: 589 }]).error).toMatchObject({
      code: 'calendar/meetings-overlap',
      day: 'A',
    })
    expect(checkPattern(year, [row, { ...row, startMinute: 590 }]).ok).toBe(true)
    expect(
      checkPattern(year, [
        { ...row, throughOn: isoDay('2026-09-30') },
        { ...row, fromOn: isoDay('2026-10-01') },
      ]).ok,
    ).toBe(true)
  })
})
