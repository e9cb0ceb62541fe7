import { describe, expect, it } from 'vitest'
import { asId, isoDay } from '../../base'
import type { UnitId } from '../../base'
import { aLesson, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { AS_PLANNED, sequenceOf } from '../plan'
import type { ClassPacing, FixedDate, PlanLesson } from '../plan'
import { layOut } from './layOut'
import type { Layout } from './types'

// Mon 31 Aug, Wed 2, Fri 4, Mon 7, Wed 9, Fri 11 … at 9:00 for 50 minutes
const calendar = meetings(aYear({ lastOn: isoDay('2026-09-18') }), ids.class('c'), onDays(1, 3, 5), [])
const days = (of: Layout, list = calendar.meetings) =>
  of.placements.map((p) =>
    p.placed ? p.slots.map((s) => `${list[s.meeting]?.on.slice(5)}:${s.halves}`).join(' ') : p.because.why,
  )
const fixed = (id: string, typical: number, date: FixedDate, part: Partial<PlanLesson> = {}) =>
  aLesson(id, typical, { fixed: date, ...part })
const on = (day: string): FixedDate => ({ kind: 'on', on: isoDay(day) })
const own = (part: Partial<ClassPacing>): ClassPacing => ({ ...AS_PLANNED, ...part })

describe('fixed dates', () => {
  it('leave free meetings in front as slack', () => {
    const got = layOut(
      { lessons: [aLesson('a'), fixed('t', 1, on('2026-09-07')), aLesson('b')] },
      calendar.meetings,
    )
    expect(days(got)).toEqual(['08-31:2', '09-07:2', '09-09:2'])
    // 9 meetings, the last used is the fifth
    expect(got.slackHalves).toBe(8)
  })

  it('stay when the lessons before them need more than there is; what does not fit is reported', () => {
    // three meetings before Mon 7 Sep; a and b take them, c and d do not fit, the test and e do
    const got = layOut(
      {
        lessons: [
          aLesson('a', 2),
          aLesson('b'),
          aLesson('c'),
          aLesson('d', 0.5),
          fixed('t', 1, on('2026-09-07')),
          aLesson('e'),
        ],
      },
      calendar.meetings,
    )
    expect(days(got)).toEqual([
      '08-31:2 09-02:2',
      '09-04:2',
      'before-fixed',
      'after-one-that-does-not-fit',
      '09-07:2',
      '09-09:2',
    ])
    expect(got.placements[2]).toMatchObject({ because: { lessonId: 't', needHalves: 2, freeHalves: 0 } })
  })

  it('move to the class’s next meeting, and say so, when it does not meet that day', () => {
    const got = layOut({ lessons: [aLesson('a'), fixed('t', 1, on('2026-09-08'))] }, calendar.meetings)
    expect(days(got)).toEqual(['08-31:2', '09-09:2'])
    expect(got.findings).toEqual([
      { code: 'no-meeting-on-fixed-date', lessonId: 't', wantedOn: '2026-09-08', on: '2026-09-09' },
    ])
  })

  it('"not before" waits, "not after" keeps room for itself, "within" does both', () => {
    expect(
      days(
        layOut(
          { lessons: [aLesson('a'), fixed('b', 1, { kind: 'not-before', on: isoDay('2026-09-04') })] },
          calendar.meetings,
        ),
      ),
    ).toEqual(['08-31:2', '09-04:2'])
    // b has to end by Fri 4: a gets the two meetings before it and needs three
    expect(
      days(
        layOut(
          { lessons: [aLesson('a', 3), fixed('b', 1, { kind: 'not-after', on: isoDay('2026-09-04') })] },
          calendar.meetings,
        ),
      ),
    ).toEqual(['before-fixed', '08-31:2'])
    expect(
      days(
        layOut(
          {
            lessons: [
              aLesson('a', 2),
              fixed('b', 1, { kind: 'not-after', on: isoDay('2026-09-04') }),
              aLesson('c'),
            ],
          },
          calendar.meetings,
        ),
      ),
    ).toEqual(['08-31:2 09-02:2', '09-04:2', '09-07:2'])
    expect(
      days(
        layOut(
          {
            lessons: [
              fixed('b', 1, {
                kind: 'within',
                fromOn: isoDay('2026-09-03'),
                throughOn: isoDay('2026-09-08'),
              }),
            ],
          },
          calendar.meetings,
        ),
      ),
    ).toEqual(['09-04:2'])
  })

  it('are missed, and say so, only when the record is already past them', () => {
    const through = { on: isoDay('2026-09-07'), startMinute: 540, halves: 2 }
    const got = layOut({ lessons: [aLesson('a', 4), fixed('t', 1, on('2026-09-07'))] }, calendar.meetings, {
      pacing: own({
        through,
        records: {
          [ids.lesson('a')]: {
            outcome: 'covered',
            held: [{ on: isoDay('2026-09-07'), startMinute: 540, halves: 2 }],
            moreHalves: 0,
          },
        },
      }),
    })
    expect(days(got)).toEqual(['09-07:2', '09-09:2'])
    expect(got.findings).toEqual([
      { code: 'fixed-date-missed', lessonId: 't', wantedOn: '2026-09-07', on: '2026-09-09' },
    ])
  })

  it('of the class win over those of the plan, and "free" lifts them', () => {
    const lessons = [aLesson('a'), fixed('t', 1, on('2026-09-07'))]
    expect(
      days(
        layOut({ lessons }, calendar.meetings, {
          pacing: own({ fixed: { [ids.lesson('t')]: on('2026-09-09') } }),
        }),
      )[1],
    ).toBe('09-09:2')
    expect(
      days(
        layOut({ lessons }, calendar.meetings, { pacing: own({ fixed: { [ids.lesson('t')]: 'free' } }) }),
      )[1],
    ).toBe('09-02:2')
  })
})

describe('parts', () => {
  const unit = (id: string, partId: string) => ({ id: asId<UnitId>(id), number: id, title: id, partId })
  const plan = {
    parts: [
      { id: 'p1', title: 'Autumn', term: 1 },
      { id: 'p2', title: 'Spring', term: 2 },
    ],
    units: [unit('u1', 'p1'), unit('u2', 'p2')],
    lessons: [aLesson('a', 2), aLesson('b', 2), aLesson('c', 1, { unitId: asId<UnitId>('u2') })],
  }
  const terms = [
    { name: 'One', firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-06') },
    { name: 'Two', firstOn: isoDay('2026-09-09'), lastOn: isoDay('2026-09-18') },
  ]

  it('are laid out on their own: one that is too long does not push the next', () => {
    // the first term has three meetings: b does not fit; the second part starts with its term
    expect(days(layOut(plan, calendar.meetings, { terms }))).toEqual([
      '08-31:2 09-02:2',
      'part-full',
      '09-09:2',
    ])
  })
})

describe('lengths in minutes', () => {
  const minutes = (id: string, typical: number) =>
    aLesson(id, 1, { length: { unit: 'minutes', min: 5, typical, max: 600 } })

  it('share a meeting with the next lesson', () => {
    // 30 + 20 fill the first meeting of 50 minutes; 60 take the second and 10 of the third
    const got = layOut({ lessons: [minutes('a', 30), minutes('b', 20), minutes('c', 60)] }, calendar.meetings)
    expect(days(got)).toEqual(['08-31:1.2', '08-31:0.8', '09-02:2 09-04:0.4'])
  })

  it('leave to lessons counted in meetings what is at least half a meeting', () => {
    // 20 of 50 minutes gone: one half of 25 is left; 30 gone: none
    expect(days(layOut({ lessons: [minutes('a', 20), aLesson('b', 0.5)] }, calendar.meetings))[1]).toBe(
      '08-31:1',
    )
    expect(days(layOut({ lessons: [minutes('a', 30), aLesson('b', 0.5)] }, calendar.meetings))[1]).toBe(
      '09-02:1',
    )
  })
})

describe('after a break', () => {
  // closed Thu 3 to Tue 8 Sep: four school days; the class meets Wed 2, then Wed 9
  const broken = meetings(
    aYear({ lastOn: isoDay('2026-09-18'), notes: [closure('2026-09-03', '2026-09-08')] }),
    ids.class('c'),
    onDays(1, 3, 5),
    [],
  )

  it('a lesson that may not start there waits for the next meeting, which is visible slack', () => {
    const got = layOut(
      { lessons: [aLesson('a', 2), aLesson('t', 1, { notAfterBreak: true })] },
      broken.meetings,
    )
    expect(days(got, broken.meetings)).toEqual(['08-31:2 09-02:2', '09-11:2'])
    expect(got.findings).toEqual([{ code: 'waits-after-break', lessonId: 't', on: '2026-09-09' }])
  })
})

describe('the record', () => {
  const held = (day: string, halves = 2) => ({ on: isoDay(day), startMinute: 540, halves })
  const lessons = [aLesson('a'), aLesson('b', 2), aLesson('c')]

  it('stands as it was held, and the rest follows it', () => {
    const pacing = own({
      through: held('2026-09-04'),
      records: {
        [ids.lesson('a')]: {
          outcome: 'covered',
          held: [held('2026-08-31'), held('2026-09-02')],
          moreHalves: 0,
        },
        [ids.lesson('b')]: { outcome: 'under-way', held: [held('2026-09-04')], moreHalves: 3 },
      },
    })
    expect(days(layOut({ lessons }, calendar.meetings, { pacing }))).toEqual([
      '08-31:2 09-02:2',
      '09-04:2 09-07:2 09-09:1',
      '09-09:1 09-11:1',
    ])
  })

  it('is not computed anew when a length is changed later', () => {
    const pacing = own({
      lengths: { [ids.lesson('a')]: 8 },
      through: held('2026-08-31'),
      records: { [ids.lesson('a')]: { outcome: 'covered', held: [held('2026-08-31')], moreHalves: 0 } },
    })
    expect(days(layOut({ lessons }, calendar.meetings, { pacing }))[0]).toBe('08-31:2')
  })

  it('goes on in the half meeting that is left', () => {
    const pacing = own({
      through: held('2026-08-31', 1),
      records: { [ids.lesson('a')]: { outcome: 'covered', held: [held('2026-08-31', 1)], moreHalves: 0 } },
    })
    expect(days(layOut({ lessons }, calendar.meetings, { pacing }))[1]).toBe('08-31:1 09-02:2 09-04:1')
  })

  it('holds lessons left out without any time', () => {
    expect(
      days(
        layOut({ lessons }, calendar.meetings, { pacing: own({ left: { [ids.lesson('b')]: 'let-go' } }) }),
      ),
    ).toEqual(['08-31:2', 'let-go', '09-02:2'])
  })
})

describe('sequenceOf', () => {
  it('keeps the class’s order, and puts what is new in the plan behind the lesson it follows there', () => {
    const [a, b, c, n] = ['a', 'b', 'c', 'n'].map((id) => aLesson(id)) as [
      PlanLesson,
      PlanLesson,
      PlanLesson,
      PlanLesson,
    ]
    const extra = aLesson('x')
    const order = ['c', 'x', 'a', 'b'].map(ids.lesson)
    expect(
      sequenceOf({ lessons: [a, n, b, c] }, { order, added: { [extra.id]: extra } }).map((l) => l.id),
    ).toEqual(['c', 'x', 'a', 'n', 'b'])
  })
})
