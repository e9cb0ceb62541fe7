import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import { aYear, closure, ids, onDays } from '../../tests/support/made'
import { lossesBetween, meetings } from './meetings'
import type { MeetingChange } from './types'

const c = ids.class('c')
const days = (of: ReturnType<typeof meetings>) => of.meetings.map((m) => m.on.slice(5))

describe('meetings', () => {
  // two weeks: Mon 31 Aug to Fri 11 Sep 2026
  const year = aYear({ lastOn: isoDay('2026-09-11') })

  it('gives every meeting of the pattern in order, with its local start as an instant', () => {
    const got = meetings(year, c, onDays(2, 4), [])
    expect(days(got)).toEqual(['09-01', '09-03', '09-08', '09-10'])
    expect(new Date(got.meetings[0]?.startsAt ?? 0).toISOString()).toBe('2026-09-01T15:00:00.000Z')
    expect(got.meetings.map((m) => m.index)).toEqual([0, 1, 2, 3])
  })

  it('loses the meetings of a closed day and says why', () => {
    const got = meetings(
      { ...year, notes: [closure('2026-09-01', '2026-09-03', { name: 'Flood' })] },
      c,
      onDays(2, 4),
      [],
    )
    expect(days(got)).toEqual(['09-08', '09-10'])
    expect(got.lost.map((l) => [l.on, l.because, l.cause])).toEqual([
      ['2026-09-01', 'Flood', 'closure'],
      ['2026-09-03', 'Flood', 'closure'],
    ])
  })

  it('takes out only the classes an event or closure names', () => {
    const trip = closure('2026-09-01', '2026-09-01', { kind: 'event', name: 'Trip', classIds: [c] })
    expect(days(meetings({ ...year, notes: [trip] }, c, onDays(2), []))).toEqual(['09-08'])
    expect(days(meetings({ ...year, notes: [trip] }, ids.class('other'), onDays(2), []))).toEqual([
      '09-01',
      '09-08',
    ])
  })

  it('shortens by factor or to explicit minutes, the shorter note holding', () => {
    const half = closure('2026-09-01', '2026-09-01', {
      id: 'a',
      kind: 'short',
      name: 'Half day',
      factorRatio: 0.5,
    })
    const shorter = closure('2026-09-01', '2026-09-01', {
      id: 'b',
      kind: 'short',
      name: 'Drill',
      minutes: 20,
    })
    expect(meetings({ ...year, notes: [half] }, c, onDays(2), []).meetings[0]).toMatchObject({
      minutes: 25,
      usualMinutes: 50,
      because: ['Half day'],
    })
    expect(meetings({ ...year, notes: [half, shorter] }, c, onDays(2), []).meetings[0]).toMatchObject({
      minutes: 20,
      because: ['Half day', 'Drill'],
    })
  })

  it('takes only the hours of an event that has hours', () => {
    const event = (fromMinute: number, untilMinute: number) => ({
      ...year,
      notes: [
        closure('2026-09-01', '2026-09-01', { kind: 'event', name: 'Testing', fromMinute, untilMinute }),
      ],
    })
    // the class meets 9:00 to 9:50
    expect(meetings(event(480, 570), c, onDays(2), []).meetings[0]).toMatchObject({
      on: '2026-09-01',
      minutes: 20,
      usualMinutes: 50,
    })
    expect(meetings(event(600, 660), c, onDays(2), []).meetings[0]).toMatchObject({ minutes: 50 })
    expect(days(meetings(event(480, 585), c, onDays(2), []))).toEqual(['09-08'])
  })

  it('marks the first meeting after two closed school days or more', () => {
    // closed Thu 3 and Fri 4: a break for all; closed Mon 7 alone is none
    const got = meetings(
      {
        ...year,
        lastOn: isoDay('2026-09-18'),
        notes: [closure('2026-09-03', '2026-09-04'), closure('2026-09-14')],
      },
      c,
      onDays(2, 4),
      [],
    )
    expect(got.meetings.map((m) => [m.on.slice(5), m.afterBreak])).toEqual([
      ['09-01', false],
      ['09-08', true],
      ['09-10', false],
      ['09-15', false],
      ['09-17', false],
    ])
  })

  it('cancels, adds and changes single meetings', () => {
    const changes: MeetingChange[] = [
      { kind: 'cancel', on: isoDay('2026-09-01'), startMinute: 540, why: 'Assembly' },
      { kind: 'add', on: isoDay('2026-09-05'), startMinute: 600, minutes: 40, why: 'Saturday catch-up' },
      { kind: 'minutes', on: isoDay('2026-09-08'), startMinute: 540, minutes: 30, why: 'Fire drill' },
    ]
    const got = meetings(year, c, onDays(2), changes)
    expect(days(got)).toEqual(['09-05', '09-08'])
    expect(got.lost).toMatchObject([{ on: '2026-09-01', because: 'Assembly', cause: 'cancelled' }])
    expect(got.meetings[1]).toMatchObject({ minutes: 30, usualMinutes: 50 })
  })

  it('follows a pattern that changes in mid-year', () => {
    const before = onDays(2).map((r) => ({ ...r, throughOn: isoDay('2026-09-04') }))
    const after = onDays(5).map((r) => ({ ...r, fromOn: isoDay('2026-09-05') }))
    expect(days(meetings(year, c, [...before, ...after], []))).toEqual(['09-01', '09-11'])
  })

  it('counts lost and shortened meetings between two dates', () => {
    const notes = [
      closure('2026-09-03'),
      closure('2026-09-08', '2026-09-08', { kind: 'short', factorRatio: 0.5 }),
    ]
    const got = meetings({ ...year, notes }, c, onDays(2, 4), [])
    expect(lossesBetween(got, isoDay('2026-08-31'), isoDay('2026-09-04'))).toEqual({
      meetings: 1,
      lost: 1,
      shortened: 0,
    })
    expect(lossesBetween(got, isoDay('2026-09-07'), isoDay('2026-09-11'))).toEqual({
      meetings: 2,
      lost: 0,
      shortened: 1,
    })
  })

  it('keeps class time on the wall clock when the clocks change', () => {
    const autumn = aYear({ firstOn: isoDay('2026-10-30'), lastOn: isoDay('2026-11-03') })
    const [friday, monday] = meetings(autumn, c, onDays(1, 5), []).meetings
    expect(new Date(friday?.startsAt ?? 0).toISOString()).toBe('2026-10-30T15:00:00.000Z')
    expect(new Date(monday?.startsAt ?? 0).toISOString()).toBe('2026-11-02T16:00:00.000Z')
  })
})
