import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import { AS_PLANNED, act } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import type { DeskClass } from '#shared/contracts/pacing'
import { aDeskClass, aLesson, aPlan, at, aYear, closure, ids, onDays } from '../../../../tests/support/made'
import { columnOf } from '../stores/deskColumn'
import { sayBare, sayLost, sayStone, stoneState } from '../words/stones'
import { deskWeeks } from './deskWeeks'
import { meetingRows } from './meetingRows'
import { addOnGround, agreeOn, changeLength, isStill, moveBefore, moveBy, moveToGround } from './moves'
import { gist } from '../words/rippleGist'
import { acrossClasses, alongGround, alongLessons, atDay } from './selection'
import type { Selection } from './selection'
import { sheetWeeks } from './sheet'
import type { SheetChoice } from './sheet'

const year = aYear({
  lastOn: isoDay('2026-09-25'),
  notes: [
    closure('2026-09-07', '2026-09-11', { name: 'Break' }),
    closure('2026-09-15', '2026-09-15', { name: 'Staff day' }),
  ],
  terms: [{ name: 'Autumn', firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-25') }],
})
const plan = aPlan([aLesson('1', 1), aLesson('2', 1.5), aLesson('3', 1)])
const room = (id: string, days: Parameters<typeof onDays>, lost: string[] = []): DeskClass =>
  aDeskClass(id, plan, {
    pattern: onDays(...days),
    pacing: {
      ...AS_PLANNED,
      changes: lost.map((on) => ({ kind: 'cancel', on: isoDay(on), startMinute: 540, why: 'Snow' })),
    },
  })
const a = columnOf(room('A', [1, 3, 5]), year, plan)
const b = columnOf(room('B', [2, 4], ['2026-09-03']), year, plan)
const lesson = (column: typeof a, id: string) => ({
  kind: 'lesson' as const,
  classId: column.of.id,
  lessonId: ids.lesson(id),
})

describe('weeks of the desk', () => {
  it('knows closures with their days, weeks without school, terms and the current week', () => {
    const weeks = deskWeeks(year, isoDay('2026-09-16'))
    expect(weeks.map((w) => w.mondayOn)).toEqual(['2026-08-31', '2026-09-07', '2026-09-14', '2026-09-21'])
    expect(weeks.map((w) => w.closedAll)).toEqual([false, true, false, false])
    expect(weeks[1]?.closures).toEqual(['Break, Mon 7 Sep to Fri 11 Sep'])
    expect(weeks[2]).toMatchObject({ closures: ['Staff day, Tue 15 Sep'], isCurrent: true, termStarts: null })
    expect(weeks[0]?.termStarts).toBe('Autumn')
  })
})

describe('moving over the desk by keys', () => {
  it('steps along the lessons of a class and stops at both ends', () => {
    expect(alongLessons(lesson(a, '1'), [a, b], 1)).toEqual(lesson(a, '2'))
    expect(alongLessons(lesson(a, '1'), [a, b], -1)).toBeNull()
    expect(alongLessons(lesson(a, '3'), [a, b], 1)).toBeNull()
  })

  it('goes to the same lesson in the next class, and nowhere beyond the last', () => {
    expect(acrossClasses(lesson(a, '2'), [a, b], 1)).toEqual(lesson(b, '2'))
    expect(acrossClasses(lesson(b, '2'), [a, b], 1)).toBeNull()
  })

  it('goes to what lies at that time where the next class has another plan', () => {
    const other = columnOf({ ...room('C', [1, 3, 5]) }, year, {
      ...plan,
      lessons: [aLesson('x', 2), aLesson('y', 2)],
    })
    // lesson 2 of A begins on Wed 2 Sep, when C is at x
    expect(acrossClasses(lesson(a, '2'), [a, other], 1)).toEqual(lesson(other, 'x'))
  })

  it('finds what a class is at on a day', () => {
    expect(atDay(a, isoDay('2026-09-02'))).toEqual(lesson(a, '2'))
    expect(atDay(a, isoDay('2026-12-01'))).toEqual(lesson(a, '3'))
  })
})

describe('one class, meeting by meeting', () => {
  it('cuts a stone of two meetings into both, the half one with its neighbour', () => {
    // lesson 2 takes Wed 2 and half of Fri 4 Sep, lesson 3 the other half and half of Mon 14
    const rows = meetingRows(a, isoDay('2026-08-31'))
    expect(
      rows.map((r) => [
        r.on,
        r.stretches
          .map((s) =>
            s.kind === 'stone'
              ? `${s.lessonId}:${s.halves}${s.starts ? '<' : ''}${s.ends ? '>' : ''}`
              : s.kind,
          )
          .join(' '),
      ]),
    ).toEqual([
      ['2026-08-31', '1:2<>'],
      ['2026-09-02', '2:2<'],
      ['2026-09-04', '2:1> 3:1<'],
    ])
  })

  it('keeps a lost meeting in its place, and nothing in a week without meetings', () => {
    expect(meetingRows(b, isoDay('2026-08-31')).map((r) => [r.on, r.meeting === null])).toEqual([
      ['2026-09-01', false],
      ['2026-09-03', true],
    ])
    expect(meetingRows(a, isoDay('2026-12-28'))).toEqual([])
  })
})

describe('what is said of stones', () => {
  const stretches = a.weeks.get(isoDay('2026-08-31'))?.stretches ?? []
  const stone = stretches[1]

  it('says class, day, lesson, which of its meetings, and how far it is', () => {
    if (stone?.kind !== 'stone') throw new Error('no stone')
    expect(sayStone(a, stone, at('09-01T12:00'))).toBe(
      'Class A, Wed 2 Sep, lesson 2 Lesson 2, first to second of 2 meetings, planned',
    )
    expect(stoneState(a, stone, at('09-02T15:00'))).toBe('under-way')
    expect(stoneState(a, stone, at('09-04T15:50'))).toBe('passed')
  })

  it('goes by the record where there is one, and names a fixed date', () => {
    const held = [{ on: isoDay('2026-08-31'), startMinute: 540, halves: 2 }]
    const recorded = columnOf(
      {
        ...a.of,
        pacing: {
          ...AS_PLANNED,
          records: { [ids.lesson('1')]: { outcome: 'covered', held, moreHalves: 0 } },
          through: held[0] ?? null,
          fixed: { [ids.lesson('2')]: { kind: 'on', on: isoDay('2026-09-02') } },
        },
      },
      year,
      plan,
    )
    const stones = recorded.weeks.get(isoDay('2026-08-31'))?.stretches.filter((s) => s.kind === 'stone') ?? []
    expect(stones.map((s) => stoneState(recorded, s, at('08-30T12:00')))).toEqual([
      'covered',
      'planned',
      'planned',
    ])
    expect(stones[1] && sayStone(recorded, stones[1], at('08-30T12:00'))).toContain('planned, fixed date')
  })

  it('says free and lost meetings', () => {
    const lost = b.weeks.get(isoDay('2026-08-31'))?.stretches.find((s) => s.kind === 'lost')
    expect(lost?.kind === 'lost' ? sayLost(b, lost.lost) : '').toBe('Class B, Thu 3 Sep 9:00 am, lost: Snow')
    const bare = a.weeks.get(isoDay('2026-09-21'))?.stretches.find((s) => s.kind === 'bare')
    expect(bare?.kind === 'bare' ? sayBare(a, bare) : '').toBe('Class A, Mon 21 Sep, meeting free')
  })
})

describe('moving lessons on the desk', () => {
  const pacingAfter = (command: PacingCommand | null, of = a) => {
    const state = { year, plans: new Map([[plan.id, plan]]), classes: new Map([[of.of.id, of.of]]) }
    return command ? act(state, command).value?.classes.get(of.of.id)?.pacing : undefined
  }

  it('puts a lesson before another, one place on, or nowhere new', () => {
    expect(pacingAfter(moveBefore(a, ids.lesson('3'), ids.lesson('1')))?.order).toEqual(['3', '1', '2'])
    expect(pacingAfter(moveBy(a, ids.lesson('1'), 1))?.order).toEqual(['2', '1', '3'])
    expect(pacingAfter(moveBy(a, ids.lesson('2'), 1))?.order).toEqual(['1', '3', '2'])
    expect([
      moveBy(a, ids.lesson('1'), -1),
      moveBy(a, ids.lesson('3'), 1),
      moveBefore(a, ids.lesson('1'), ids.lesson('2')),
    ]).toEqual([null, null, null])
  })

  it('puts a lesson onto free ground, not before that day, and adds one there', () => {
    // Class A: lessons on Mon 31, Wed 2, Fri 4; the break; then free from Wed 16 (Mon 14 takes the rest of 3)
    const free = a.calendar.meetings.findIndex((m) => m.on === '2026-09-21')
    expect(pacingAfter(moveToGround(a, ids.lesson('1'), free))).toMatchObject({
      order: ['2', '3', '1'],
      fixed: { 1: { kind: 'not-before', on: '2026-09-21' } },
    })
    const added = pacingAfter(addOnGround(a, free, 'Catch-up lab', 'new'))
    expect(added).toMatchObject({
      order: ['1', '2', '3', 'new'],
      added: { new: { title: 'Catch-up lab', fixed: { kind: 'not-before', on: '2026-09-21' } } },
    })
  })

  it('changes a length by halves from what is being tried, and knows when it is the same again', () => {
    const lesson = ids.lesson('2')
    expect(changeLength(a, lesson, 1, null)).toMatchObject({
      command: { from: null, to: 4 },
      cause: '2 longer',
    })
    expect(changeLength(a, lesson, 1, { to: 4 })).toMatchObject({ command: { from: null, to: 5 } })
    expect(changeLength(a, lesson, -1, { to: 4 })).toBe('same')
    expect(changeLength(a, lesson, -3, null)).toBeNull()
  })

  it('knows whether anything else moves', () => {
    const after = (pacing: Partial<typeof AS_PLANNED>) => [
      columnOf({ ...a.of, pacing: { ...AS_PLANNED, ...pacing } }, year, plan),
    ]
    expect(isStill([a, b], [a, b], null)).toBe(true)
    expect(isStill([a], after({ lengths: { [ids.lesson('3')]: 4 } }), ids.lesson('3'))).toBe(true)
    expect(isStill([a], after({ lengths: { [ids.lesson('1')]: 4 } }), ids.lesson('1'))).toBe(false)
    expect(isStill([a], after({ lengths: { [ids.lesson('3')]: 40 } }), ids.lesson('3'))).toBe(false)
  })

  it('takes the layouts for the baseline, of classes one may change', () => {
    expect(agreeOn([a, b], at('09-01T12:00'))).toMatchObject({
      purpose: { code: 'agree' },
      commands: [
        { classId: 'A', part: 'baseline' },
        { classId: 'B', part: 'baseline' },
      ],
    })
    expect(agreeOn([{ ...a, of: { ...a.of, mayChange: false } }], at('09-01T12:00'))).toBeNull()
  })
})

describe('a way out in short', () => {
  it('names what is lost first, and says when nothing changes', () => {
    const consequence = {
      moved: [{ lessonId: ids.lesson('3'), fromOn: isoDay('2026-09-04'), toOn: isoDay('2026-09-14') }],
      fixedMoved: [],
      cuts: [{ lessonId: ids.lesson('2'), unit: 'meetings' as const, from: 3, to: 2, left: null }],
      notFitting: [ids.lesson('1')],
      badDays: [],
      slackHalves: 0,
      price: 4,
    }
    expect(
      gist({ way: 'tighten', commands: [], consequence, work: [] }, a).map((l) => [l.tone, l.text]),
    ).toEqual([
      ['needs', '1 no longer fits'],
      ['care', '2 1½ → 1'],
      ['plain', '1 lesson moves'],
    ])
    expect(
      gist(
        {
          way: 'hold',
          commands: [],
          consequence: { ...consequence, moved: [], cuts: [], notFitting: [] },
          work: [],
        },
        a,
      ),
    ).toEqual([{ tone: 'quiet', text: 'stays as it is' }])
  })
})

describe('the term sheet', () => {
  const due = {
    assignmentId: ids.work('w'),
    classId: b.of.id,
    title: 'Check',
    state: 'held' as const,
    opensAt: null,
    dueAt: at('09-05T06:00'),
    lessonIds: [],
  }
  const lines = (choice: SheetChoice, work = [due]) =>
    sheetWeeks(
      [a, b],
      { firstOn: isoDay('2026-08-31'), lastOn: isoDay('2026-09-25') },
      { work, zone: 'America/Denver', ...choice },
    ).map((w) => [w.mondayOn.slice(5), w.cells.map((c) => c.map((l) => `${l.on.slice(8)} ${l.text}`))])

  it('has a row for each week with lessons, free and lost meetings, and work due', () => {
    const [first, second, third] = lines({ withWork: true, forLearners: false })
    expect(first).toEqual([
      '08-31',
      [
        ['31 1 Lesson 1', '02 2 Lesson 2', '04 2 goes on · 3 Lesson 3'],
        ['01 1 Lesson 1', '03 no class: Snow', '04 due: Check (held)'],
      ],
    ])
    // the break stands beside the week and not in every cell
    expect(second).toEqual(['09-07', [[], []]])
    expect(third?.[1]).toEqual([['14 3 goes on', '16 free', '18 free'], ['17 2 Lesson 2']])
  })

  it('says work that is due at one moment in one line, and each moment in its own', () => {
    const titled = (title: string, dueAt: string) => ({ ...due, title, dueAt: at(dueAt) })
    const [first] = lines({ withWork: true, forLearners: false }, [
      titled('Later', '09-05T03:00'),
      titled('One', '09-05T02:00'),
      titled('Two', '09-05T02:00'),
    ])
    const ofB = [first?.[1]?.[1] ?? []].flat()
    expect(ofB.filter((l) => l.includes('due'))).toEqual([
      '04 due 8:00 pm: One (held) · Two (held)',
      '04 due 9:00 pm: Later (held)',
    ])
  })

  it('leaves out reasons and what is not published in the learners’ copy', () => {
    const [first] = lines({ withWork: true, forLearners: true })
    expect(first?.[1]?.[1]).toEqual(['01 1 Lesson 1', '03 no class'])
  })
})

describe('free and lost meetings by keys', () => {
  it('are reached in order, forwards and back', () => {
    // class B loses Thu 3 Sep; its plan is over by then, and later meetings are free
    const lostOn = { kind: 'meeting', classId: b.of.id, on: '2026-09-03', startMinute: 540 }
    expect(alongGround(lesson(b, '1'), [a, b], 1)).toEqual(lostOn)
    const next = alongGround(lostOn as Selection, [a, b], 1)
    expect(next).toMatchObject({ kind: 'meeting', on: '2026-09-08' })
    expect(alongGround(next as Selection, [a, b], -1)).toEqual(lostOn)
    expect(alongGround(lesson(b, '1'), [a, b], -1)).toBeNull()
  })
})
