import { describe, expect, it } from 'vitest'
import { isoDay } from '../../base'
import { aLesson, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import type { MeetingChange, SchoolYear } from '../../calendar'
import type { Way } from '../command'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'
import { ripple } from './ripple'
import type { ClassSide } from './ripple'

const classId = ids.class('c')
// Mon 31 Aug, Wed 2, Fri 4, Mon 7, Wed 9, Fri 11, Mon 14, Wed 16, Fri 18
const year = aYear({ lastOn: isoDay('2026-09-18') })
const test = aLesson('t', 1, { kind: 'test', fixed: { kind: 'on', on: isoDay('2026-09-11') } })
const lost = (day: string): MeetingChange => ({
  kind: 'cancel',
  on: isoDay(day),
  startMinute: 540,
  why: 'Snow day',
})
const side = (
  lessons: readonly PlanLesson[],
  pacing: ClassPacing = AS_PLANNED,
  of: SchoolYear = year,
  pattern = onDays(1, 3, 5),
): ClassSide => ({
  plan: { lessons },
  pacing,
  calendar: meetings(of, classId, pattern, pacing.changes),
  terms: [],
})
const snow = (lessons: readonly PlanLesson[], day: string) =>
  ripple(classId, side(lessons), side(lessons, { ...AS_PLANNED, changes: [lost(day)] }))
const way = (of: ReturnType<typeof ripple>, name: Way) => of.ways.find((w) => w.way === name)?.consequence
const days = (of: ReturnType<typeof ripple>, name: Way) => {
  const found = of.ways.find((w) => w.way === name)
  const list = meetings(year, classId, onDays(1, 3, 5), found?.pacing.changes ?? []).meetings
  return found?.layout.placements.map(
    (p) =>
      `${p.lessonId} ${p.placed ? p.slots.map((s) => list[s.meeting]?.on.slice(8)).join('+') : p.because.why}`,
  )
}

describe('a lost meeting, five ways out', () => {
  // five meetings before the test on Fri 11; four used, one free. The buffer is one of the four.
  const lessons = [
    aLesson('a'),
    aLesson('b', 2, { length: { unit: 'meetings', min: 1, typical: 2, max: 3 } }),
    aLesson('buf', 1, { kind: 'buffer' }),
    test,
    aLesson('o', 1, { weight: 'optional' }),
    aLesson('z'),
  ]
  const got = snow(lessons, '2026-09-02')

  it('push on: all later, fixed dates of the class with it, slack as before', () => {
    expect(days(got, 'push-on')).toEqual(['a 31', 'b 04+07', 'buf 09', 't 14', 'o 16', 'z 18'])
    expect(way(got, 'push-on')?.fixedMoved).toEqual([
      { lessonId: 't', fromOn: '2026-09-11', toOn: '2026-09-14' },
    ])
    expect(way(got, 'push-on')?.price).toBe(6)
  })

  it('use slack: the free meeting before the test is eaten, the test stays', () => {
    expect(days(got, 'use-slack')).toEqual(['a 31', 'b 04+07', 'buf 09', 't 11', 'o 14', 'z 16'])
    expect(way(got, 'use-slack')).toMatchObject({ fixedMoved: [], cuts: [], notFitting: [], price: 0 })
  })

  it('tighten: wins the meeting back within the stretch, cheapest first', () => {
    // a buffer meeting is cheaper than half of b twice
    expect(days(got, 'tighten')).toEqual(['a 31', 'b 04+07', 'buf let-go', 't 11', 'o 14', 'z 16'])
    expect(way(got, 'tighten')?.cuts).toEqual([
      { lessonId: 'buf', unit: 'meetings', from: 2, to: 0, left: 'let-go' },
    ])
  })

  it('push on: a meeting gained pulls no fixed date forward', () => {
    // from Mon Wed Fri to Mon Tue Wed Fri: nine meetings become twelve
    const more = ripple(classId, side(lessons), side(lessons, AS_PLANNED, year, onDays(1, 2, 3, 5)))
    expect(way(more, 'push-on')).toMatchObject({ fixedMoved: [], notFitting: [], cuts: [] })
    expect(more.lostMeetings).toBe(-3)
    expect(
      way(more, 'push-on')?.moved.map((m) => `${m.lessonId} ${m.fromOn.slice(8)}→${m.toOn.slice(8)}`),
    ).toEqual(['b 02→01', 'buf 07→04', 'z 16→15'])
  })

  it('hold: every later lesson keeps its date, what lost its time is cut', () => {
    // b had Wed 2 and Fri 4; Wed is gone: it keeps Fri, the buffer stays on Mon 7
    expect(days(got, 'hold')).toEqual(['a 31', 'b 04', 'buf 07', 't 11', 'o 14', 'z 16'])
    expect(way(got, 'hold')).toMatchObject({
      cuts: [{ lessonId: 'b', from: 4, to: 2, left: null }],
      moved: [{ lessonId: 'b', fromOn: '2026-09-02', toOn: '2026-09-04' }],
    })
  })

  it('hold: marks a lesson of which nothing is left as not covered', () => {
    const one = snow([aLesson('a'), aLesson('b'), aLesson('c')], '2026-09-02')
    expect(days(one, 'hold')).toEqual(['a 31', 'b not-covered', 'c 04'])
    expect(way(one, 'hold')?.price).toBe(6)
  })

  it('let go: leaves out the cheapest optional lessons of the stretch', () => {
    const many = snow(
      [
        aLesson('a'),
        aLesson('x', 1, { weight: 'optional' }),
        aLesson('y', 0.5, { weight: 'optional' }),
        aLesson('u', 1, { weight: 'useful' }),
        test,
      ],
      '2026-08-31',
    )
    expect(way(many, 'let-go')?.cuts.map((c) => c.lessonId)).toEqual(['x'])
    expect(days(many, 'let-go')).toEqual(['a 02', 'x let-go', 'y 04', 'u 04+07', 't 11'])
  })

  it('tighten: keeps the slack in front of a fixed lesson that has a first and a last day', () => {
    // four meetings up to Wed 9, three of them used: one is free, and after a lost one none
    const tight = snow(
      [
        aLesson('a'),
        aLesson('o', 1, { weight: 'optional' }),
        aLesson('c'),
        aLesson('t', 1, {
          kind: 'test',
          fixed: { kind: 'within', fromOn: isoDay('2026-09-09'), throughOn: isoDay('2026-09-10') },
        }),
      ],
      '2026-09-02',
    )
    expect(way(tight, 'tighten')?.cuts.map((x) => [x.lessonId, x.to])).toEqual([
      ['o', 1],
      ['c', 1],
    ])
    // half of the optional lesson (½) and of a core one (2) cost less than leaving the optional one out (1 +
    // 2)
    expect(days(tight, 'tighten')).toEqual(['a 31', 'o 04', 'c 04', 't 09'])
  })

  it('names what no longer fits when nothing gives way', () => {
    const full = snow([aLesson('a', 4), aLesson('b'), test], '2026-09-02')
    expect(way(full, 'use-slack')).toMatchObject({ notFitting: ['b'], price: 6 })
    expect(days(full, 'push-on')?.[2]).toBe('t 14')
  })
})

describe('other changes', () => {
  it('a longer lesson pushes the others; hold takes the time from the next', () => {
    const lessons = [aLesson('a'), aLesson('b'), aLesson('c'), aLesson('d')]
    const got = ripple(
      classId,
      side(lessons),
      side(lessons, { ...AS_PLANNED, lengths: { [ids.lesson('a')]: 4 } }),
      ids.lesson('a'),
    )
    expect(days(got, 'push-on')).toEqual(['a 31+02', 'b 04', 'c 07', 'd 09'])
    expect(days(got, 'hold')).toEqual(['a 31+02', 'b not-covered', 'c 04', 'd 07'])
  })

  it('a day on which the class does not meet changes nothing for it', () => {
    const lessons = [aLesson('a'), aLesson('b')]
    const got = ripple(
      classId,
      side(lessons),
      side(lessons, AS_PLANNED, { ...year, notes: [closure('2026-09-01')] }),
    )
    expect(got.lostMeetings).toBe(0)
    expect(got.ways.every((w) => w.commands.length === 0 && w.consequence.moved.length === 0)).toBe(true)
  })

  it(
    'a closed A day shifts the letters: A sections meet a day later, B sections ' +
      'too, and neither at once loses a meeting before the end',
    () => {
      const rotating = {
        ...year,
        rotation: { labels: ['A', 'B'], advance: 'instructional' as const, overrides: [] },
      }
      const letter = (label: string) => [{ day: { label }, startMinute: 540, minutes: 50 }]
      const lessons = [aLesson('a'), aLesson('b'), aLesson('c')]
      const of = (label: string) =>
        ripple(
          classId,
          side(lessons, AS_PLANNED, rotating, letter(label)),
          side(lessons, AS_PLANNED, { ...rotating, notes: [closure('2026-09-02')] }, letter(label)),
        )
      // A on Mon 31, Wed 2, Fri 4 … : Wed closed, A comes on Thu 3
      expect(
        way(of('A'), 'use-slack')?.moved.map((m) => `${m.lessonId} ${m.fromOn.slice(8)}→${m.toOn.slice(8)}`),
      ).toEqual(['b 02→03', 'c 04→07'])
      expect(
        way(of('B'), 'use-slack')?.moved.map((m) => `${m.lessonId} ${m.fromOn.slice(8)}→${m.toOn.slice(8)}`),
      ).toEqual(['b 03→04', 'c 07→08'])
    },
  )

  it('a test that newly lies on a short day, after a break or across one is named', () => {
    const lessons = [aLesson('a'), aLesson('k', 1, { kind: 'check' })]
    const short = {
      ...year,
      notes: [{ ...closure('2026-09-04'), kind: 'short' as const, name: 'Half day', factorRatio: 0.5 }],
    }
    const got = ripple(
      classId,
      side(lessons, AS_PLANNED, short),
      side(lessons, { ...AS_PLANNED, changes: [lost('2026-09-02')] }, short),
    )
    expect(way(got, 'push-on')?.badDays).toEqual([{ lessonId: 'k', on: '2026-09-04', why: 'short' }])
    const broken = { ...year, notes: [closure('2026-09-03', '2026-09-08')] }
    const across = ripple(
      classId,
      side([aLesson('a'), aLesson('b', 2)], AS_PLANNED, broken),
      side([aLesson('a', 1.5), aLesson('b', 2)], AS_PLANNED, broken),
    )
    expect(way(across, 'push-on')?.badDays).toEqual([])
    expect(
      way(
        ripple(
          classId,
          side([aLesson('b', 2)], AS_PLANNED, broken),
          side([aLesson('n'), aLesson('b', 2)], AS_PLANNED, broken),
        ),
        'push-on',
      )?.badDays,
    ).toEqual([{ lessonId: 'b', on: '2026-09-09', why: 'across-break' }])
  })
})
