import { describe, expect, it } from 'vitest'
import { NO_WINDOW } from '#core/availability'
import type { Moment } from '#core/availability'
import { isoDay } from '#core/base'
import type { LessonId } from '#core/base'
import { zoneOf } from '#core/calendar'
import { readPlainDay } from '~/shared/fields/plainDays'
import { at, ids } from '../../../tests/support/made'
import { countingIn, readTypedMoment } from './momentReading'
import type { MomentContext } from './momentReading'

// a Wednesday
const context = {
  field: 'due' as const,
  today: isoDay('2026-10-21'),
  min: isoDay('2026-08-24'),
  max: isoDay('2027-06-11'),
  lessons: [{ id: ids.lesson('l'), number: 'W2.4' }],
  current: ids.lesson('l') as LessonId | null,
  // 10:00 in the morning
  now: { on: isoDay('2026-10-21'), minuteOfDay: 600 },
  from: { on: isoDay('2026-10-21'), minuteOfDay: 600 },
}
const read = (text: string, part: Partial<MomentContext> = {}) =>
  readTypedMoment(text, { ...context, ...part }, readPlainDay)

describe('a typed moment', () => {
  it('is about a lesson before it is a day', () => {
    expect(read('+2 meetings')).toMatchObject({ kind: 'anchor', offset: 2, edge: 'last', at: 'class-end' })
    expect(read('end of W2')).toMatchObject({ kind: 'anchor', lessonId: 'l' })
  })

  it('is a whole day, or a day and a time', () => {
    expect(read('21 oct')).toEqual({ kind: 'day', on: '2026-10-21' })
    expect(read('next tue')).toEqual({ kind: 'day', on: '2026-10-27' })
    expect(read('fri 3pm')).toEqual({ kind: 'time', on: '2026-10-23', minuteOfDay: 900 })
    expect(read('2 nov, 8:30')).toEqual({ kind: 'time', on: '2026-11-02', minuteOfDay: 510 })
    expect(read('2026-11-05 at 4 pm')).toEqual({ kind: 'time', on: '2026-11-05', minuteOfDay: 960 })
  })

  it('counts steps without a lesson from the opening, or from now', () => {
    const free = { current: null }
    const after = (count: number, part: object = {}) => ({
      kind: 'meeting',
      on: '2026-10-21',
      minuteOfDay: 600,
      count,
      at: 'class-end',
      ...part,
    })
    expect(read('+2 meetings', free)).toEqual(after(2))
    expect(read('in 2 meetings')).toEqual(after(2))
    expect(read('2 meetings from now')).toEqual(after(2))
    expect(read('next meeting')).toEqual(after(1))
    expect(read('next meeting', { field: 'opens' })).toEqual(after(1, { at: 'class-start' }))
    expect(read('in two meetings, end of day')).toEqual(after(2, { at: 'end-of-day' }))
    expect(read('+3 days', free)).toEqual({ kind: 'day', on: '2026-10-24' })
    expect(read('in a week')).toEqual({ kind: 'day', on: '2026-10-28' })
    expect(read('in 3 days, 4 pm')).toEqual({ kind: 'time', on: '2026-10-24', minuteOfDay: 960 })
    // it opens next Monday: two meetings after that
    const from = { on: isoDay('2026-10-26'), minuteOfDay: 0 }
    expect(read('+2 meetings', { ...free, from })).toEqual(after(2, from))
    expect(read('in 2 meetings', { ...free, from })).toEqual(after(2))
  })

  it('counts what closes from when it is due', () => {
    const closes = (text: string, moment: Moment, on: string | null = null) =>
      read(text, { field: 'closes', current: null, due: { moment, on: on === null ? null : isoDay(on) } })
    const day = { kind: 'day', on: isoDay('2026-10-26') } as const
    expect(closes('+1 day', day)).toEqual({ kind: 'day', on: '2026-10-27' })
    expect(closes('+1 day', { ...day, kind: 'time', minuteOfDay: 900 })).toMatchObject({
      on: '2026-10-27',
      minuteOfDay: 900,
    })
    expect(closes('+1 meeting', day)).toMatchObject({ kind: 'meeting', on: '2026-10-26', minuteOfDay: 1440 })
    const anchor = {
      kind: 'anchor',
      lessonId: ids.lesson('l'),
      edge: 'last',
      offset: 1,
      step: 'meetings',
      at: 'class-end',
    } as const
    expect(closes('+1 meeting', anchor)).toEqual({ ...anchor, offset: 2 })
    expect(closes('+1 day', { ...anchor, offset: 0 })).toEqual({ ...anchor, step: 'days' })
    // a day after some meeting is one day only where it is the same for all
    expect(closes('+1 day', anchor)).toBeUndefined()
    expect(closes('+1 day', anchor, '2026-10-28')).toEqual({ kind: 'day', on: '2026-10-29' })
    expect(
      closes('+2 meetings', { ...day, kind: 'meeting', minuteOfDay: 0, count: 1, at: 'class-end' }),
    ).toMatchObject({
      count: 3,
    })
  })

  it('reads dates as they are written, and a code as a code', () => {
    expect(read('28.10.')).toEqual({ kind: 'day', on: '2026-10-28' })
    expect(read('28/10')).toEqual({ kind: 'day', on: '2026-10-28' })
    expect(read('28.10.2026')).toEqual({ kind: 'day', on: '2026-10-28' })
    expect(read('3.2.')).toEqual({ kind: 'day', on: '2027-02-03' })
    expect(read('28.10. 3pm')).toEqual({ kind: 'time', on: '2026-10-28', minuteOfDay: 900 })
    expect(read('12.01')).toEqual({ kind: 'day', on: '2027-01-12' })
    const coded = { lessons: [{ id: ids.lesson('c'), number: '12.01', unit: 'U3: Sound' }] }
    expect(read('12.01', coded)).toMatchObject({ kind: 'anchor', lessonId: 'c' })
    expect(read('end of U3', coded)).toMatchObject({ lessonId: 'c', edge: 'last' })
    expect(read('end of u3: sound', coded)).toMatchObject({ lessonId: 'c' })
  })

  it('is none where that is said', () => {
    expect(read('never')).toBeNull()
    expect(read('no due date')).toBeNull()
    expect(read('now', { field: 'opens' })).toBeNull()
    expect(read('when due', { field: 'closes' })).toBeNull()
  })

  it.each([
    ...[
      '',
      'soonish',
      'W9.9',
      'W2.41',
      '40 oct',
      '1 jan 2031',
      'now',
      '+',
      '2 meetings',
      '+2 meetings or so',
    ],
    ...[
      'after 2 meetings maybe',
      '2 meetings from Friday',
      'fri and mon',
      'friday, if possible',
      'end of',
      'in meetings',
    ],
    ...['in 0 meetings', '0/0', '31.2.', '28/10/x', 'due', '-2 meetings from now', 'when due', 'next', '99'],
  ])('takes “%s” for nothing, not for half of it', (text) => {
    expect(read(text), text).toBeUndefined()
  })
})

describe('from where steps count', () => {
  const zone = zoneOf('UTC')
  const of = { now: at('10-21T10:00'), zone, resolved: null, own: null }
  const lesson = ids.lesson('l')
  const anchor = {
    kind: 'anchor',
    lessonId: lesson,
    edge: 'first',
    offset: 0,
    step: 'meetings',
    at: 'class-start',
  } as const
  const now = { on: '2026-10-21', minuteOfDay: 600 }

  it('is the lesson at which it opens, else its day, else now', () => {
    expect(countingIn(NO_WINDOW, of)).toMatchObject({ current: null, from: now, now, due: null })
    expect(countingIn({ ...NO_WINDOW, opens: anchor }, of)).toMatchObject({ current: lesson, from: now })
    const monday = { kind: 'day', on: isoDay('2026-10-26') } as const
    expect(countingIn({ ...NO_WINDOW, opens: monday }, of).from).toEqual({ on: '2026-10-26', minuteOfDay: 0 })
    // it opened in September: what is left counts
    expect(countingIn({ ...NO_WINDOW, opens: { ...monday, on: isoDay('2026-09-01') } }, of).from).toEqual(now)
    const resolved = { ...NO_WINDOW, opens: at('10-23T09:00'), due: at('10-29T00:00') }
    const third = { kind: 'meeting', ...countingIn(NO_WINDOW, of).now, count: 3, at: 'class-start' } as const
    const counting = countingIn({ ...NO_WINDOW, opens: third, due: monday }, { ...of, resolved })
    expect(counting.from).toEqual({ on: '2026-10-23', minuteOfDay: 540 })
    // through the 28th
    expect(counting.due).toEqual({ moment: monday, on: '2026-10-28' })
  })
})
