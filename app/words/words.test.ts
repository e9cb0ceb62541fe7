import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { Instant } from '#core/base'
import { STATUS_OF } from '#shared/contracts/refusal'
import type { Refusal } from '#shared/contracts/refusal'
import { at, ids } from '../../tests/support/made'
import { sayMomentSpec } from './moments'
import { count, meetingsOf, percent, sayMeetings } from './numbers'
import { sayPattern } from './pattern'
import { fieldOf, sayRefusal } from './refusals'
import { sayStep } from './steps'
import { clockText, readClock, sayCountdown, sayDay, sayLeft, sayMinute, sayMoment } from './times'

const ZONE = 'America/Denver'

describe('times', () => {
  it('says days and clock times', () => {
    expect(sayDay(isoDay('2026-10-21'))).toBe('Wed 21 Oct')
    expect([0, 719, 720, 870, 1439, 1440].map(sayMinute)).toEqual(['12:00 am', '11:59 am', '12:00 pm', '2:30 pm', '11:59 pm', '12:00 am'])
    expect(['14:30', '9:05', '24:00', '12:60', ''].map(readClock)).toEqual([870, 545, null, null, null])
    expect(clockText(545)).toBe('09:05')
  })

  it('says the end of a day as that day, and its start as such', () => {
    const midnight = at('10-15T06:00')
    expect(sayMoment(midnight, ZONE, 'due')).toBe('Wed 14 Oct, end of day')
    expect(sayMoment(midnight, ZONE, 'opens')).toBe('Thu 15 Oct, start of day')
    expect(sayMoment(midnight, ZONE)).toBe('Thu 15 Oct, 12:00 am')
    expect(sayMoment(at('10-21T20:30'), ZONE, 'due')).toBe('Wed 21 Oct, 2:30 pm')
  })

  it('says what is left in the coarsest unit that helps', () => {
    const now = at('10-21T20:30')
    const left = (minutes: number) => sayLeft((now + minutes * 60_000) as Instant, now)
    expect([-1, 0, 1, 59, 60, 23 * 60 + 59, 24 * 60, 50 * 60].map(left)).toEqual(['', '', '1 min left', '59 min left', '1 h left', '23 h left', '1 day left', '2 days left'])
    expect(sayCountdown((now + 605_000) as Instant, now)).toBe('10:05')
    expect(sayCountdown(now, (now + 5000) as Instant)).toBe('0:00')
  })
})

describe('numbers', () => {
  it('counts, shares, and says half meetings', () => {
    expect([count(1, 'try', 'tries'), count(3, 'try', 'tries'), count(0, 'learner')]).toEqual(['1 try', '3 tries', '0 learners'])
    expect([0.666, 1, 0].map(percent)).toEqual(['67 %', '100 %', '0 %'])
    expect([1, 2, 3, 20].map(meetingsOf)).toEqual(['½', '1', '1½', '10'])
    expect([1, 2, 3].map(sayMeetings)).toEqual(['½ meeting', '1 meeting', '1½ meetings'])
  })
})

describe('moments, patterns and steps', () => {
  const anchor = { kind: 'anchor' as const, lessonId: ids.lesson('a'), edge: 'last' as const, offset: 1, step: 'meetings' as const, at: 'class-end' as const }

  it('says an anchor as the teacher would', () => {
    const say = (part: object) => sayMomentSpec({ ...anchor, ...part }, 'due', () => 'W2.3')
    expect(say({})).toBe('last meeting of W2.3 + 1, class end')
    expect(say({ edge: 'first', offset: 0, at: 'class-start' })).toBe('first meeting of W2.3, class start')
    expect(say({ offset: -2, step: 'days', at: { minuteOfDay: 960 } })).toBe('last meeting of W2.3 − 2 days, 4:00 pm')
    expect(sayMomentSpec(null, 'due', () => '')).toBe('no due date')
    expect(sayMomentSpec({ kind: 'day', on: isoDay('2026-10-30') }, 'due', () => '')).toBe('Fri 30 Oct, whole day')
  })

  it('says when a class meets', () => {
    expect(sayPattern([{ day: { label: 'A' }, startMinute: 510, minutes: 80 }])).toBe('A days 8:30 am')
    expect(sayPattern([1, 3, 5].map(weekday => ({ day: { weekday: weekday as 1 }, startMinute: 790, minutes: 50 })))).toBe('Mon, Wed, Fri 1:10 pm')
  })

  it('names a step for the undo button', () => {
    const known = { plans: [], classes: [{ id: ids.class('c'), shortName: '8 B', planId: null }] } as never
    const meeting = { kind: 'meeting' as const, classId: ids.class('c'), on: isoDay('2026-10-22'), startMinute: 510, from: null }
    expect(sayStep({ ...meeting, to: { kind: 'cancel', on: meeting.on, startMinute: 510, why: 'Snow' } }, known)).toBe('8 B: Thu 22 Oct lost')
    expect(sayStep({ ...meeting, to: null }, known)).toBe('8 B: Thu 22 Oct given back')
  })
})

describe('refusals', () => {
  /** Facts enough for any refusal; each takes what it needs. */
  const facts = { what: 'class', until: at('10-21T20:30'), seen: 'a', now: 'b', opensAt: at('10-21T20:30'), closedAt: at('10-21T20:30'), used: 2, most: 2, field: 'due', name: 'X', lines: [3], line: 3, signIn: 'x', lessonId: 'a', offset: 1, meetings: 3, before: 'opens', firstOn: '2026-01-01', lastOn: '2026-01-01', days: 9, zone: 'Z', first: 'A', second: 'B', label: 'C', minutes: 3, day: '1', startMinute: 540, count: 9, events: 2, value: 'v', item: 2, lesson: 'L', min: 1, typical: 1, max: 1, halves: 3, on: '2026-10-21', problem: 'is empty', requestId: 'r', itemId: 'i', expected: 'single', limits: 1, id: 'x' }

  it.each(Object.keys(STATUS_OF))('puts %s into a plain sentence', (code) => {
    const field = code === 'attempts/bad-rules' ? 'maxAttempts' : 'due'
    const said = sayRefusal({ ...facts, field, code } as unknown as Refusal, { zone: ZONE, lesson: () => 'W2.3' })
    expect(said).toMatch(/[.!]$/)
    expect(said.length).toBeGreaterThan(10)
    expect(said).not.toMatch(/undefined|null|NaN|\[object/)
  })

  it('tells which field to correct', () => {
    expect(fieldOf({ code: 'access/sign-in-taken', field: 'signIn' })).toBe('signIn')
    expect(fieldOf({ code: 'wire/lost' })).toBeNull()
  })
})
