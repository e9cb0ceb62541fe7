import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { readTypedClock } from './clockReading'
import { readDay } from './dayReading'
import { readPlainDay } from './plainDays'

// Wednesday 21 October 2026
const today = isoDay('2026-10-21')
const year = { today, min: isoDay('2026-08-24'), max: isoDay('2027-06-11') }
const meetings = ['2026-10-20', '2026-10-22', '2026-10-26', '2026-10-28'].map(isoDay)

describe('readDay', () => {
  it.each([
    ['2026-11-03', '2026-11-03'],
    ['21 oct', '2026-10-21'],
    ['Oct 21', '2026-10-21'],
    ['Wed 21 Oct 2026', '2026-10-21'],
    ['5 september', '2026-09-05'],
    ['3 feb', '2027-02-03'],
    ['tomorrow', '2026-10-22'],
    ['next tue', '2026-10-27'],
    ['friday', '2026-10-23'],
    ['+2 days', '2026-10-23'],
    ['+1 week', '2026-10-28'],
    ['+1 meeting', '2026-10-22'],
    ['+3 meetings', '2026-10-28'],
  ])('reads “%s”', (text, on) => {
    expect(readDay(text, { ...year, meetings }, readPlainDay)).toBe(on)
  })

  it.each(['', 'soon', '31 feb', '2026-02-31', '21 oct 2031', '+9 meetings', 'in march', '2026-08-01'])(
    'takes “%s” for no day of this year',
    (text) => {
      expect(readDay(text, { ...year, meetings }, readPlainDay)).toBeNull()
    },
  )

  it('reads dates by digits before the reader for plain language has come', () => {
    expect(readDay('2026-11-03', year, null)).toBe('2026-11-03')
    expect(readDay('next tue', year, null)).toBeNull()
  })
})

describe('readTypedClock', () => {
  it.each([
    ['14:30', 870],
    ['2:30 pm', 870],
    ['2.30pm', 870],
    ['830', 510],
    ['8', 480],
    ['9:05', 545],
    ['3pm', 900],
    ['12 am', 0],
    ['12:05 pm', 725],
  ])('reads “%s”', (text, minutes) => {
    expect(readTypedClock(text)).toBe(minutes)
  })

  it.each(['', '24:00', '12:60', '25:00', '8:75', '13 pm', 'noon-ish'])('takes “%s” for no time', (text) => {
    expect(readTypedClock(text)).toBeNull()
  })
})
