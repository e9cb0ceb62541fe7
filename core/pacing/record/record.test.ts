import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import type { Instant, LessonId } from '../../base'
import { aLesson, aPlan, aYear, at, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { act } from '../command'
import { layOut } from '../layout'
import { AS_PLANNED, sequenceOf } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'
import { baselineOf, driftOn, driftSeries } from './drift'
import { recordLesson } from './record'
import type { Happened } from './record'

const classId = ids.class('c')
// Mon 31 Aug, Wed 2, Fri 4, Mon 7, Wed 9, Fri 11 … 9:00 to 9:50 in Denver (15:00 UTC)
const year = aYear({ lastOn: isoDay('2026-09-25') })
const calendar = meetings(year, classId, onDays(1, 3, 5), [])
const plan = aPlan([aLesson('a'), aLesson('b', 2), aLesson('c'), aLesson('d', 1.5), aLesson('e')])

function recorded(pacing: ClassPacing, lessonId: string, happened: Happened, now: Instant, of = plan) {
  const layout = layOut(of, calendar.meetings, { pacing })
  const got = recordLesson(
    { classId, sequence: sequenceOf(of, pacing), pacing, layout, meetings: calendar.meetings },
    ids.lesson(lessonId),
    happened,
    now,
  )
  if (!got.ok) return { refused: got.error, pacing, days: [] }
  const state = act(
    {
      year,
      plans: new Map([[of.id, of]]),
      classes: new Map([[classId, { planId: of.id, pattern: onDays(1, 3, 5), pacing }]]),
    },
    got.value,
  )
  const next = state.value?.classes.get(classId)?.pacing as ClassPacing
  return { refused: null, pacing: next, days: daysOf(next, of) }
}
function daysOf(pacing: ClassPacing, of: { readonly lessons: readonly PlanLesson[] } = plan) {
  return layOut(of, calendar.meetings, { pacing }).placements.map((p) =>
    p.placed
      ? p.slots.map((s) => `${calendar.meetings[s.meeting]?.on.slice(8)}:${s.halves}`).join(' ')
      : p.because.why,
  )
}
const thursday = at('09-10T12:00')

describe('recordLesson', () => {
  it('covers a lesson where it lay, and every unrecorded one before it', () => {
    const got = recorded(AS_PLANNED, 'b', { as: 'covered' }, thursday)
    expect(Object.keys(got.pacing.records)).toEqual(['a', 'b'])
    expect(got.pacing.through).toEqual({ on: '2026-09-04', startMinute: 540, halves: 2 })
    expect(got.days).toEqual(['31:2', '02:2 04:2', '07:2', '09:2 11:1', '11:1 14:1'])
  })

  it('ends a lesson early with the last meeting that has begun; later ones come sooner', () => {
    // at noon on Wed 2 Sep b has had one of its two meetings
    const got = recorded(AS_PLANNED, 'b', { as: 'covered' }, at('09-02T18:00'))
    expect(got.days.slice(1, 3)).toEqual(['02:2', '04:2'])
  })

  it('takes as many meetings as were held, and pushes the rest', () => {
    // a took three meetings instead of one
    expect(recorded(AS_PLANNED, 'a', { as: 'took', halves: 6 }, thursday).days).toEqual([
      '31:2 02:2 04:2',
      '07:2 09:2',
      '11:2',
      '14:2 16:1',
      '16:1 18:1',
    ])
    // half a meeting: the next lesson begins in it
    expect(recorded(AS_PLANNED, 'a', { as: 'took', halves: 1 }, thursday).days.slice(0, 2)).toEqual([
      '31:1',
      '31:1 02:2 04:1',
    ])
  })

  it('carries a lesson over with what is still to come', () => {
    const got = recorded(AS_PLANNED, 'b', { as: 'carried-over', moreHalves: 3 }, at('09-04T18:00'))
    expect(got.pacing.records[ids.lesson('b')]).toEqual({
      outcome: 'under-way',
      held: [
        { on: '2026-09-02', startMinute: 540, halves: 2 },
        { on: '2026-09-04', startMinute: 540, halves: 2 },
      ],
      moreHalves: 3,
      lesson: { number: 'b', title: 'Lesson b' },
    })
    expect(got.days.slice(1, 3)).toEqual(['02:2 04:2 07:2 09:1', '09:1 11:1'])
  })

  it('refuses to record what is covered, the last lesson as well as those before it', () => {
    // a and b share Mon 31 Aug; recorded anew, a would take a meeting that b has half of
    const halves = aPlan([aLesson('a', 0.5), aLesson('b', 0.5), aLesson('c')])
    const once = recorded(AS_PLANNED, 'b', { as: 'covered' }, thursday, halves).pacing
    for (const lesson of ['a', 'b'])
      for (const happened of [{ as: 'covered' }, { as: 'took', halves: 2 }] as const)
        expect(recorded(once, lesson, happened, thursday, halves).refused).toEqual({
          code: 'pacing/already-recorded',
          field: 'lessonId',
          lesson,
        })
    expect(daysOf(once, halves)).toEqual(['31:1', '31:1', '02:2'])
  })

  it('lets what was carried over be finished', () => {
    const once = recorded(AS_PLANNED, 'b', { as: 'carried-over', moreHalves: 2 }, thursday).pacing
    expect(recorded(once, 'b', { as: 'covered' }, thursday).pacing.records[ids.lesson('b')]?.outcome).toBe(
      'covered',
    )
  })

  it('fills no meeting beyond what it holds when a lesson is carried over within it', () => {
    // a takes half of Mon 31 Aug, and then its other half; b needs a whole meeting
    const shared = aPlan([aLesson('a', 0.5), aLesson('b', 1)])
    const noon = at('08-31T18:00')
    const once = recorded(AS_PLANNED, 'a', { as: 'carried-over', moreHalves: 1 }, noon, shared).pacing
    const covered = recorded(once, 'a', { as: 'covered' }, noon, shared)
    expect(covered.days).toEqual(['31:2', '02:2'])
    expect(covered.pacing.through).toEqual({ on: '2026-08-31', startMinute: 540, halves: 2 })
    const again = recorded(once, 'a', { as: 'carried-over', moreHalves: 1 }, noon, shared)
    expect(again.days).toEqual(['31:2 02:1', '02:1 04:1'])
  })

  it('refuses what has not begun, is unknown or has no place', () => {
    expect(recorded(AS_PLANNED, 'd', { as: 'covered' }, at('09-07T12:00')).refused?.code).toBe(
      'pacing/not-yet-held',
    )
    expect(recorded(AS_PLANNED, 'a', { as: 'took', halves: 12 }, thursday).refused?.code).toBe(
      'pacing/not-yet-held',
    )
    expect(recorded(AS_PLANNED, 'z', { as: 'covered' }, thursday).refused?.code).toBe('pacing/unknown-lesson')
    expect(
      recorded({ ...AS_PLANNED, left: { [ids.lesson('b')]: 'let-go' } }, 'b', { as: 'covered' }, thursday)
        .refused?.code,
    ).toBe('pacing/not-laid-out')
  })
})

describe('drift', () => {
  const baseline = baselineOf(layOut(plan, calendar.meetings), calendar.meetings, at('08-31T12:00'))
  const drift = (pacing: ClassPacing, day: string, list = calendar.meetings) =>
    driftOn(baseline, layOut(plan, list, { pacing }), list, isoDay(day))

  it('is nought while all goes as agreed', () => {
    expect(
      driftSeries(baseline, layOut(plan, calendar.meetings), calendar.meetings).every(
        (p) => p.meetings === 0,
      ),
    ).toBe(true)
  })

  it('is minus two meetings after a lesson that took three for one', () => {
    const { pacing } = recorded(AS_PLANNED, 'a', { as: 'took', halves: 6 }, thursday)
    // on Wed 2 Sep: two of three meetings of a = ⅔ of one; planned: a and half of b's two = 2
    expect(drift(pacing, '2026-09-02')).toBe(-1.33)
    expect(drift(pacing, '2026-09-04')).toBe(-2)
    // all is laid out again by the end
    expect(drift(pacing, '2026-09-25')).toBe(0)
  })

  it('is plus where a lesson went faster', () => {
    const { pacing } = recorded(AS_PLANNED, 'b', { as: 'covered' }, at('09-02T18:00'))
    expect(drift(pacing, '2026-09-02')).toBe(1)
  })

  it('falls by one with a lost meeting, and rises again by a lesson left out', () => {
    const lost = meetings(year, classId, onDays(1, 3, 5), [
      { kind: 'cancel', on: isoDay('2026-09-02'), startMinute: 540, why: 'Snow' },
    ]).meetings
    expect(drift(AS_PLANNED, '2026-09-04', lost)).toBe(-1)
    // c counts as passed once b is done, on Mon 7
    expect(drift({ ...AS_PLANNED, left: { ['c' as LessonId]: 'let-go' } }, '2026-09-07', lost)).toBe(0)
  })
})
