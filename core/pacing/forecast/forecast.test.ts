import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import type { LessonId } from '../../base'
import { aLesson, aYear, at, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { courseOf } from '../layout'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, LessonRecord, PlanLesson } from '../plan'
import { forecaster } from './forecast'
import { paceOf } from './pace'

// 12 meetings: Mon 31 Aug to Fri 25 Sep
const calendar = meetings(aYear({ lastOn: isoDay('2026-09-25') }), ids.class('c'), onDays(1, 3, 5), [])
const started = calendar.meetings.map((m) => m.startsAt)
const now = at('08-30T12:00')
const steady = { lessons: 0, usedRatio: 1, spreadRatio: 0, lossRatio: 0, lost: 0, held: 0 }
const run = (
  lessons: readonly PlanLesson[],
  pace = steady,
  seed = 1,
  ends: readonly LessonId[] = [],
  runs = 400,
) => {
  const f = forecaster({
    course: courseOf({ lessons }, calendar.meetings, AS_PLANNED, { terms: [] }),
    pace,
    now,
    starts: started,
    ends,
    seed,
  })
  f.run(runs)
  return f.result()
}
const fixedOn = (id: string, day: string) =>
  aLesson(id, 1, { kind: 'test', fixed: { kind: 'on', on: isoDay(day) } })

describe('paceOf', () => {
  const record = (took: number): LessonRecord => ({
    outcome: 'covered',
    held: [{ on: isoDay('2026-08-31'), startMinute: 540, halves: took }],
    moreHalves: 0,
  })

  it('is one, with the plan’s trust, before anything happened', () => {
    expect(paceOf([aLesson('a')], AS_PLANNED, calendar, now)).toMatchObject({
      lessons: 0,
      usedRatio: 1,
      spreadRatio: 0.25,
      lossRatio: 0.02,
    })
  })

  it('is shrunk toward one by ten meetings', () => {
    // 5 meetings planned, 8 used: (8 + 10) / (5 + 10)
    const pacing: ClassPacing = {
      ...AS_PLANNED,
      records: { [ids.lesson('a')]: record(8), [ids.lesson('b')]: record(8) },
    }
    const pace = paceOf([aLesson('a', 2.5), aLesson('b', 2.5), aLesson('c')], pacing, calendar, now)
    expect(pace.usedRatio).toBeCloseTo(1.2)
    // (2 ln²1.6 + 6 × 0.25²) / 8
    expect(pace.spreadRatio).toBeCloseTo(Math.sqrt((2 * Math.log(1.6) ** 2 + 0.375) / 8))
  })

  it('counts meetings lost at short notice', () => {
    const lost = meetings(aYear({ lastOn: isoDay('2026-09-25') }), ids.class('c'), onDays(1, 3, 5), [
      { kind: 'cancel', on: isoDay('2026-09-02'), startMinute: 540, why: 'Snow' },
    ])
    // one lost, four of the others held by 10 Sep: (1 + ½) / (4 + 1 + 25)
    expect(paceOf([], AS_PLANNED, lost, at('09-10T12:00')).lossRatio).toBeCloseTo(1.5 / 30)
  })
})

describe('paceOf and the calendar ahead', () => {
  it('does not take a meeting that is called off long before for a habit', () => {
    const called = meetings(aYear({ lastOn: isoDay('2026-09-25') }), ids.class('c'), onDays(1, 3, 5), [
      { kind: 'cancel', on: isoDay('2026-09-02'), startMinute: 540, why: 'Snow' },
      { kind: 'cancel', on: isoDay('2026-09-23'), startMinute: 540, why: 'Trip' },
      { kind: 'cancel', on: isoDay('2026-09-25'), startMinute: 540, why: 'Trip' },
    ])
    expect(paceOf([], AS_PLANNED, called, at('09-10T12:00'))).toMatchObject({ lost: 1, held: 4 })
  })
})

describe('forecaster', () => {
  it('without spread or losses gives the layout itself', () => {
    const got = run([aLesson('a', 3), fixedOn('t', '2026-09-09'), aLesson('b', 2)], steady, 1, [
      ids.lesson('b'),
    ])
    expect(got.fixed).toEqual([
      {
        lessonId: 't',
        binds: 'start',
        on: '2026-09-09',
        chanceRatio: 1,
        ready: ['2026-09-04', '2026-09-04', '2026-09-04'],
      },
    ])
    expect(got.ends).toEqual([{ lessonId: 'b', on: ['2026-09-14', '2026-09-14', '2026-09-14'] }])
    expect(got.year).toEqual({ chanceRatio: 1, finish: ['2026-09-14', '2026-09-14', '2026-09-14'] })
  })

  it('does not wait for a last day, waits for a first one, and holds the start of a part', () => {
    const end = (fixed: PlanLesson['fixed']) =>
      run([aLesson('a'), aLesson('t', 1, { fixed })], steady, 1, [ids.lesson('t')]).ends[0]?.on[1]
    expect(end({ kind: 'not-after', on: isoDay('2026-09-18') })).toBe('2026-09-02')
    expect(end({ kind: 'not-before', on: isoDay('2026-09-09') })).toBe('2026-09-09')
    const days = { fromOn: isoDay('2026-09-07'), throughOn: isoDay('2026-09-18') }
    expect(end({ kind: 'within', ...days })).toBe('2026-09-07')
  })

  it('says of a last day how often it is kept', () => {
    const by = aLesson('t', 1, { fixed: { kind: 'not-after', on: isoDay('2026-09-09') } })
    expect(run([aLesson('a', 4), by]).fixed[0]).toMatchObject({
      binds: 'end',
      on: '2026-09-09',
      chanceRatio: 1,
    })
    expect(run([aLesson('a', 4), by], { ...steady, usedRatio: 1.25 }).fixed[0]?.chanceRatio).toBe(0)
  })

  it('counts minutes as minutes: 79 × 30 min are 47.4 meetings of 50, whatever halves say', () => {
    const many = meetings(aYear({ lastOn: isoDay('2027-01-29') }), ids.class('c'), onDays(1, 3, 5), [])
    const list = many.meetings.slice(0, 48)
    const minutes = Array.from({ length: 79 }, (_, i) =>
      aLesson(`m${i}`, 1, { length: { unit: 'minutes', min: 5, typical: 30, max: 60 } }),
    )
    const chance = (lessons: readonly PlanLesson[], pace = steady) => {
      const course = courseOf({ lessons }, list, AS_PLANNED, { terms: [] })
      const f = forecaster({
        course,
        pace,
        now,
        starts: list.map((m) => m.startsAt),
        ends: [],
        seed: 5,
      })
      f.run(1000)
      return f.result().year.chanceRatio
    }
    const wholes = Array.from({ length: 47 }, (_, i) => aLesson(`w${i}`))
    expect(chance(minutes)).toBe(1)
    // what remains of 48 meetings is lost with the first meeting that is lost
    const losing = { ...steady, lossRatio: 0.01 }
    expect(Math.abs(chance(minutes, losing) - chance(wholes.concat(aLesson('x', 0.5)), losing))).toBeLessThan(
      0.05,
    )
  })

  it('gives no chance to a date that the plan itself misses, nor to a year too short', () => {
    // five meetings needed, four before the date; a class that takes 2 for 1 needs 26 of 12
    expect(run([aLesson('a', 5), fixedOn('t', '2026-09-09')]).fixed[0]?.chanceRatio).toBe(0)
    const slow = run([aLesson('a', 13)], { ...steady, usedRatio: 2 })
    expect(slow.year).toEqual({ chanceRatio: 0, finish: [null, null, null] })
  })

  it('lets buffers give way to a delay', () => {
    const lessons = [aLesson('a', 2), aLesson('buf', 2, { kind: 'buffer' }), fixedOn('t', '2026-09-09')]
    // 2 × 1.5 = 3 meetings, the buffer shrinks from 2 to 1: four before the date
    expect(run(lessons, { ...steady, usedRatio: 1.5 }).fixed[0]).toMatchObject({
      chanceRatio: 1,
      ready: ['2026-09-07', '2026-09-07', '2026-09-07'],
    })
  })

  it('gives the chance that no meeting is lost where every one is needed', () => {
    // four meetings before the date, each lost with 10 %: 0.9⁴ = 0.656
    const got = run(
      [aLesson('a', 4), fixedOn('t', '2026-09-09')],
      { ...steady, lossRatio: 0.1 },
      7,
      [],
      20_000,
    )
    expect(got.fixed[0]?.chanceRatio).toBeGreaterThan(0.64)
    expect(got.fixed[0]?.chanceRatio).toBeLessThan(0.672)
  })

  it('spreads dates in order, and gives the same for the same seed', () => {
    const lessons = Array.from({ length: 8 }, (_, i) => aLesson(`l${i}`))
    const pace = { ...steady, usedRatio: 1.1, spreadRatio: 0.3, lossRatio: 0.03 }
    const one = run(lessons, pace, 3, [ids.lesson('l7')])
    const [early, middle, late] = one.ends[0]?.on ?? []
    expect((early ?? '') <= (middle ?? '9') && (middle ?? '') <= (late ?? '9')).toBe(true)
    expect(early).not.toBe(late)
    expect(run(lessons, pace, 3, [ids.lesson('l7')])).toEqual(one)
  })
})
