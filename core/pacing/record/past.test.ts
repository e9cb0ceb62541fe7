import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aPlan, aYear, at, closure, ids, onDays } from '../../../tests/support/made'
import { meetings, zoneOf } from '../../calendar'
import type { ClassCalendar, PatternRow } from '../../calendar'
import { act } from '../command'
import type { PacingState } from '../command'
import { datesOf, layOut, weekCells } from '../layout'
import { AS_PLANNED, sequenceOf } from '../plan'
import type { ClassPacing, Plan } from '../plan'
import { ripple } from '../ripple'
import { heldIn, withHeld } from '../track'
import { baselineOf, driftOn } from './drift'
import { recordLesson } from './record'

const classId = ids.class('c')
const zone = zoneOf('America/Denver')
const year = aYear({ lastOn: isoDay('2026-09-18') })
const pattern = onDays(1, 3, 5)
const plan = aPlan([aLesson('a'), aLesson('b'), aLesson('c')])
const before = meetings(year, classId, pattern, [], zone)
const baseline = baselineOf(layOut(plan, before.meetings), before.meetings, at('08-30T12:00'))

/** a was held on Mon 31 Aug. */
const lived = (() => {
  const standing = {
    classId,
    sequence: plan.lessons,
    pacing: AS_PLANNED,
    layout: layOut(plan, before.meetings),
    meetings: before.meetings,
  }
  const got = recordLesson(standing, ids.lesson('a'), { as: 'covered' }, at('08-31T20:00'))
  const state: PacingState = {
    year,
    plans: new Map([[plan.id, plan]]),
    classes: new Map([[classId, { planId: plan.id, pattern, pacing: AS_PLANNED }]]),
  }
  return act(state, got.value as never).value?.classes.get(classId)?.pacing as ClassPacing
})()

const dates = (calendar: ClassCalendar, pacing: ClassPacing, of: Pick<Plan, 'lessons'> = plan) => {
  const layout = layOut(of, calendar.meetings, { pacing })
  return [...datesOf(layout, calendar.meetings)].map(([id, d]) => `${id} ${d.firstOn.slice(5)}`)
}
const snow = { kind: 'cancel' as const, on: isoDay('2026-08-31'), startMinute: 540, why: 'Snow' }
const late: PatternRow[] = pattern.map((r) => ({ ...r, startMinute: 600 }))

describe('the past stays', () => {
  const cases: readonly (readonly [string, ClassCalendar])[] = [
    ['cancelled afterwards', meetings(year, classId, pattern, [snow], zone)],
    ['closed afterwards', meetings({ ...year, notes: [closure('2026-08-31')] }, classId, pattern, [], zone)],
    ['no day of a new pattern', meetings(year, classId, onDays(2, 3, 5), [], zone)],
  ]

  for (const [why, calendar] of cases)
    it(`on a day ${why}, and a finding says so`, () => {
      for (const of of [calendar, withHeld(calendar, heldIn(lived), zone)]) {
        const layout = layOut(plan, of.meetings, { pacing: lived })
        expect(layout.placements[0]).toMatchObject({ placed: true, halves: 2 })
        expect(dates(of, lived)[0]).toBe('a 08-31')
        expect(layout.findings).toEqual([
          { code: 'recorded-without-meeting', lessonId: 'a', on: '2026-08-31' },
        ])
        // neither before the year, nor on the day, nor after it is the class ahead
        for (const day of ['2026-08-28', '2026-08-31'])
          expect(driftOn(baseline, layout, of.meetings, isoDay(day))).toBe(0)
      }
    })

  it('on the desk, too: the meeting is put back, it is no longer a lost one, and holds nothing else', () => {
    const half = aPlan([aLesson('a', 0.5), aLesson('b'), aLesson('c')])
    const pacing: ClassPacing = {
      ...AS_PLANNED,
      records: {
        [ids.lesson('a')]: {
          outcome: 'covered',
          held: [{ on: snow.on, startMinute: 540, halves: 1 }],
          moreHalves: 0,
        },
      },
      through: { on: snow.on, startMinute: 540, halves: 1 },
    }
    const calendar = withHeld(meetings(year, classId, pattern, [snow], zone), heldIn(pacing), zone)
    expect(calendar.meetings.slice(0, 2).map((m) => [m.index, m.on, m.isOff ?? false, m.because])).toEqual([
      [0, '2026-08-31', true, ['Snow']],
      [1, '2026-09-02', false, []],
    ])
    expect(calendar.lost).toEqual([])
    const layout = layOut(half, calendar.meetings, { pacing })
    const week = weekCells(calendar, layout).get(isoDay('2026-08-31'))
    expect(week?.stretches.map((s) => (s.kind === 'stone' ? `${s.lessonId} ${s.halves}` : s.kind))).toEqual([
      'a 1',
      'b 2',
      'c 2',
    ])
  })

  it('when the hour of the class moves: it met on that day all the same', () => {
    const calendar = meetings(year, classId, late, [], zone)
    expect(withHeld(calendar, heldIn(lived), zone)).toBe(calendar)
    const layout = layOut(plan, calendar.meetings, { pacing: lived })
    expect(layout.findings).toEqual([])
    expect(dates(calendar, lived)).toEqual(['a 08-31', 'b 09-02', 'c 09-04'])
  })

  it('when the lesson is let go or taken out of the plan', () => {
    const letGo: ClassPacing = { ...lived, left: { [ids.lesson('a')]: 'let-go' } }
    expect(dates(before, letGo)).toEqual(['a 08-31', 'b 09-02', 'c 09-04'])
    const without = { lessons: plan.lessons.slice(1) }
    expect(dates(before, lived, without)).toEqual(['a 08-31', 'b 09-02', 'c 09-04'])
    expect(sequenceOf(without, lived)[0]).toMatchObject({ id: 'a', number: 'a', title: 'Lesson a' })
  })

  it('and costs nothing in a ripple', () => {
    for (const [, calendar] of cases.slice(0, 2)) {
      const side = (of: ClassCalendar) => ({ plan, pacing: lived, calendar: of, terms: [] })
      for (const { consequence } of ripple(classId, side(before), side(calendar)).ways)
        expect(consequence).toMatchObject({ moved: [], notFitting: [], price: 0 })
    }
  })
})
