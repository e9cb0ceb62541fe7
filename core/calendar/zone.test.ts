import { CalendarDateTime, fromAbsolute, parseDate, toCalendarDate, toZoned } from '@internationalized/date'
import { describe, expect, it } from 'vitest'
import { addDays, dayNumber, instant, isoDay } from '../base'
import type { IsoDay } from '../base'
import { isZone, zoneOf } from './zone'

const utc = (at: number) => new Date(at).toISOString()
/** The slow twin: one conversion at a time, by the library. */
const slow = (zone: string, day: IsoDay, minute: number) => {
  const date = parseDate(addDays(day, Math.floor(minute / 1440)))
  const inDay = minute % 1440
  return toZoned(
    new CalendarDateTime(date.year, date.month, date.day, Math.floor(inDay / 60), inDay % 60),
    zone,
    'compatible',
  )
    .toDate()
    .getTime()
}

describe('zoneOf', () => {
  const denver = zoneOf('America/Denver')

  it('reads wall time in summer and in winter', () => {
    expect(utc(denver.at(isoDay('2026-10-21'), 8 * 60 + 30))).toBe('2026-10-21T14:30:00.000Z')
    expect(utc(denver.at(isoDay('2026-12-01'), 8 * 60 + 30))).toBe('2026-12-01T15:30:00.000Z')
  })

  it('moves a skipped time forward by the gap, and takes the first of a time that happens twice', () => {
    // 8 March 2026, 2:00 becomes 3:00: 2:30 is read as 3:30 MDT = 09:30Z
    expect(utc(denver.at(isoDay('2026-03-08'), 150))).toBe('2026-03-08T09:30:00.000Z')
    // 1 November 2026, 2:00 becomes 1:00 again: the first 1:30 is MDT = 07:30Z
    expect(utc(denver.at(isoDay('2026-11-01'), 90))).toBe('2026-11-01T07:30:00.000Z')
  })

  it('ends a day at the next midnight, also on the day of 25 hours', () => {
    expect(utc(denver.at(isoDay('2026-11-01'), 1440))).toBe('2026-11-02T07:00:00.000Z')
    expect(denver.at(isoDay('2026-11-01'), 1440) - denver.at(isoDay('2026-11-01'), 0)).toBe(25 * 3_600_000)
  })

  it('goes back to the wall time it came from', () => {
    expect(denver.local(denver.at(isoDay('2026-10-21'), 870))).toEqual({ on: '2026-10-21', minuteOfDay: 870 })
  })

  it.each([
    'America/Denver',
    'Europe/Lisbon',
    'Australia/Lord_Howe',
    'Asia/Kathmandu',
    'America/St_Johns',
    'Pacific/Auckland',
    'Africa/Casablanca',
  ])('agrees with the slow way through a whole year in %s', (name) => {
    const zone = zoneOf(name)
    for (let day = isoDay('2026-08-01'); day < '2027-08-01'; day = addDays(day, 1)) {
      for (const minute of [0, 90, 150, 545, 1440])
        expect(`${day} ${minute} ${utc(zone.at(day, minute))}`).toBe(
          `${day} ${minute} ${utc(slow(name, day, minute))}`,
        )
    }
  })

  it.each(['America/Denver', 'Europe/Lisbon', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'Pacific/Auckland'])(
    'reads local times as the slow way does, through a whole year in %s',
    (name) => {
      const zone = zoneOf(name)
      const read = (ms: number) => {
        const { on, minuteOfDay } = zone.local(instant(ms))
        return `${on} ${minuteOfDay}`
      }
      const slowly = (ms: number) => {
        const date = fromAbsolute(ms, name)
        return `${toCalendarDate(date).toString()} ${date.hour * 60 + date.minute}`
      }
      const agrees = (ms: number) => expect(`${ms} ${read(ms)}`).toBe(`${ms} ${slowly(ms)}`)
      const midnight = (on: string) => dayNumber(isoDay(on)) * 86_400_000
      // every 97 minutes and 13 seconds: all hours of the day, in the course of the year
      for (let n = 0; n < 5_400; n++) agrees(midnight('2026-08-01') + n * 5_833_000)
      // around the changes of the clock more closely
      for (const change of [
        '2026-09-27',
        '2026-10-04',
        '2026-10-25',
        '2026-11-01',
        '2027-03-14',
        '2027-03-28',
      ])
        for (let minute = -1440; minute < 2880; minute += 15) agrees(midnight(change) + minute * 60_000)
    },
  )

  it('knows which names are zones', () => {
    expect(isZone('America/Denver')).toBe(true)
    expect(isZone('Tarn/Hollow')).toBe(false)
  })
})
