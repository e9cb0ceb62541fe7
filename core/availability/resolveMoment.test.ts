import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { aLesson, aYear, ids, onDays } from '../../tests/support/made'
import { meetings, zoneOf } from '../calendar'
import { extentsOf, layOut } from '../pacing'
import { resolveMoment } from './resolveMoment'
import type { Ground } from './resolveMoment'
import type { Anchor, Moment, WindowField } from './types'

const year = aYear({ lastOn: isoDay('2026-09-18') })
/** Tue and Thu at 9:00; a takes 1 Sep and half of 3 Sep, b the rest of it and half of 8 Sep. */
function ground(days: Parameters<typeof onDays>, lost: string[] = []): Ground {
  const calendar = meetings(
    year,
    ids.class('c'),
    onDays(...days),
    lost.map((on) => ({ kind: 'cancel' as const, on: isoDay(on), startMinute: 540, why: 'x' })),
  )
  const extents = extentsOf(layOut({ lessons: [aLesson('a', 1.5), aLesson('b')] }, calendar.meetings))
  return {
    zone: zoneOf(year.zone),
    firstOn: year.firstOn,
    lastOn: year.lastOn,
    meetings: calendar.meetings,
    extents,
  }
}
const anchor = (part: Partial<Anchor> = {}): Anchor => ({
  kind: 'anchor',
  lessonId: ids.lesson('a'),
  edge: 'first',
  offset: 0,
  step: 'meetings',
  at: 'class-start',
  ...part,
})
const iso = (moment: Anchor, field: WindowField = 'opens', on = ground([2, 4])) => {
  const got = resolveMoment(moment, field, on)
  return got.ok ? new Date(got.value).toISOString().slice(5, 16) : got.error.code
}

describe('resolveMoment', () => {
  it('stands on the first or last meeting of a lesson, at class start or end', () => {
    expect(iso(anchor())).toBe('09-01T15:00')
    expect(iso(anchor({ edge: 'last', at: 'class-end' }))).toBe('09-03T15:50')
    expect(iso(anchor({ lessonId: ids.lesson('b') }))).toBe('09-03T15:00')
  })

  it('steps by meetings of that class, or by days', () => {
    expect(iso(anchor({ edge: 'last', offset: 1, at: 'class-end' }))).toBe('09-08T15:50')
    expect(iso(anchor({ offset: 2, step: 'days' }))).toBe('09-03T15:00')
    expect(iso(anchor({ edge: 'last', offset: -1 }))).toBe('09-01T15:00')
  })

  it('ends a day at the next midnight, and takes a time of day', () => {
    expect(iso(anchor({ at: 'end-of-day' }), 'due')).toBe('09-02T06:00')
    expect(iso(anchor({ at: { minuteOfDay: 20 * 60 } }), 'due')).toBe('09-02T02:00')
  })

  it('gives each class its own moment', () => {
    expect(iso(anchor({ edge: 'last', offset: 1, at: 'class-end' }), 'due', ground([1, 3, 5]))).toBe(
      '09-04T15:50',
    )
  })

  it('moves when a meeting before it is lost', () => {
    expect(iso(anchor({ lessonId: ids.lesson('b') }), 'opens', ground([2, 4], ['2026-09-01']))).toBe(
      '09-08T15:00',
    )
  })

  it('refuses an anchor past the year, before it, or on a lesson that is not laid out', () => {
    expect(iso(anchor({ offset: 40 }))).toBe('availability/anchor-past-year')
    expect(iso(anchor({ offset: -1 }))).toBe('availability/anchor-past-year')
    expect(iso(anchor({ offset: 30, step: 'days' }))).toBe('availability/anchor-past-year')
    expect(iso(anchor({ lessonId: ids.lesson('z') }))).toBe('availability/lesson-not-laid-out')
    expect(iso(anchor(), 'opens', { ...ground([2]), extents: null })).toBe('availability/no-layout')
  })

  it('reads a whole day from its start as a start, through its end as an end', () => {
    const day = { kind: 'day' as const, on: isoDay('2026-09-02') }
    const when = (field: WindowField) =>
      new Date(resolveMoment(day, field, ground([2])).value ?? 0).toISOString().slice(5, 16)
    expect([when('opens'), when('due'), when('closes')]).toEqual([
      '09-02T06:00',
      '09-03T06:00',
      '09-03T06:00',
    ])
  })

  it('lets a window through the 2nd and one from the 3rd touch', () => {
    const end = resolveMoment({ kind: 'day', on: isoDay('2026-09-02') }, 'closes', ground([2]))
    const start = resolveMoment({ kind: 'day', on: isoDay('2026-09-03') }, 'opens', ground([2]))
    expect(end.value).toBe(start.value)
  })

  it('counts meetings of each class from a moment', () => {
    const after = (count: number, part: object = {}) =>
      ({
        kind: 'meeting',
        on: isoDay('2026-09-01'),
        minuteOfDay: 600,
        count,
        at: 'class-end',
        ...part,
      }) as const
    const of = (moment: Moment, on = ground([2, 4])) => {
      const got = resolveMoment(moment, 'due', on)
      return got.ok ? new Date(got.value).toISOString().slice(5, 16) : got.error
    }
    // Tue 1 Sep at 10:00 its class is over; Thu 3 and Tue 8, 9:00 to 9:50 in Denver
    expect(of(after(1))).toBe('09-03T15:50')
    expect(of(after(2))).toBe('09-08T15:50')
    expect(of(after(1, { minuteOfDay: 0 }))).toBe('09-01T15:50')
    expect(of(after(2, { at: 'end-of-day' }))).toBe('09-09T06:00')
    // a lost meeting does not count; another class has its own
    expect(of(after(1), ground([2, 4], ['2026-09-03']))).toBe('09-08T15:50')
    expect(of(after(1), ground([3]))).toBe('09-02T15:50')
    expect(of(after(6))).toEqual({ code: 'availability/no-more-meetings', field: 'due', wanted: 6, left: 5 })
  })
})
