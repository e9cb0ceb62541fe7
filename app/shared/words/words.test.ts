import { describe, expect, it } from 'vitest'
import { isoDay } from '#core/base'
import type { Instant } from '#core/base'
import { STATUS_OF } from '#shared/contracts/refusal'
import type { Refusal } from '#shared/contracts/refusal'
import { AS_PLANNED } from '#core/pacing'
import { aLesson, aPlan, at, closure, ids } from '../../../tests/support/made'
import { sayMomentSpec } from '~/shared/words/moments'
import { sayList } from './lists'
import { count, meetingsOf, percent, sayMeetings } from './numbers'
import { sayPattern } from './pattern'
import { fieldOf, sayRefusal } from './refusals'
import { sayStep } from '~/places/pace/words/steps'
import { sayDrift, sayFinding, sayNotPlaced } from '~/places/pace/words/ways'
import { sayCountdown, sayDay, sayLeft, sayMinute, sayMoment } from './times'

const ZONE = 'America/Denver'

describe('times', () => {
  it('says days and clock times', () => {
    expect(sayDay(isoDay('2026-10-21'))).toBe('Wed 21 Oct')
    expect([0, 719, 720, 870, 1439, 1440].map(sayMinute)).toEqual([
      '12:00 am',
      '11:59 am',
      '12:00 pm',
      '2:30 pm',
      '11:59 pm',
      '12:00 am',
    ])
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
    const left = (minutes: number) => sayLeft((now + minutes * 60_000) as Instant, now, ZONE)
    expect([-1, 0, 1, 59, 60, 23 * 60 + 59, 24 * 60, 50 * 60].map(left)).toEqual([
      '',
      '',
      '1 min left',
      '59 min left',
      '1 h left',
      '23 h left',
      '1 day left',
      '2 days left',
    ])
    // Wed 21 Oct at 2:30 pm: 47 hours on it is Friday, two days by the calendar; its end, too
    expect([left(47 * 60), sayLeft(at('10-24T06:00'), now, ZONE)]).toEqual(['2 days left', '2 days left'])
    expect(sayCountdown((now + 605_000) as Instant, now)).toBe('10:05')
    expect(sayCountdown(now, (now + 5000) as Instant)).toBe('0:00')
  })
})

describe('lists', () => {
  it('are said as one says them', () => {
    expect([[], ['a'], ['a', 'b'], ['a', 'b', 'c']].map(sayList)).toEqual(['', 'a', 'a and b', 'a, b and c'])
  })
})

describe('numbers', () => {
  it('counts, shares, and says half meetings', () => {
    expect([count(1, 'try', 'tries'), count(3, 'try', 'tries'), count(0, 'learner')]).toEqual([
      '1 try',
      '3 tries',
      '0 learners',
    ])
    expect([0.666, 1, 0].map(percent)).toEqual(['67 %', '100 %', '0 %'])
    expect([1, 2, 3, 20, -3, 1.2, 0].map(meetingsOf)).toEqual(['½', '1', '1½', '10', '−1½', '0.6', '0'])
    expect([1, 2, 3].map(sayMeetings)).toEqual(['½ meeting', '1 meeting', '1½ meetings'])
  })
})

describe('moments, patterns and steps', () => {
  const anchor = {
    kind: 'anchor' as const,
    lessonId: ids.lesson('a'),
    edge: 'last' as const,
    offset: 1,
    step: 'meetings' as const,
    at: 'class-end' as const,
  }

  it('says an anchor as the teacher would', () => {
    const say = (part: object) => sayMomentSpec({ ...anchor, ...part }, 'due', () => 'W2.3')
    expect(say({})).toBe('last meeting of W2.3 + 1, class end')
    expect(say({ edge: 'first', offset: 0, at: 'class-start' })).toBe('first meeting of W2.3, class start')
    expect(say({ offset: -2, step: 'days', at: { minuteOfDay: 960 } })).toBe(
      'last meeting of W2.3 − 2 days, 4:00 pm',
    )
    expect(sayMomentSpec(null, 'due', () => '')).toBe('no due date')
    expect(sayMomentSpec({ kind: 'day', on: isoDay('2026-10-30') }, 'due', () => '')).toBe(
      'Fri 30 Oct, whole day',
    )
  })

  it('says when a class meets', () => {
    expect(sayPattern([{ day: { label: 'A' }, startMinute: 510, minutes: 80 }])).toBe('A days 8:30 am')
    expect(
      sayPattern(
        [1, 3, 5].map((weekday) => ({ day: { weekday: weekday as 1 }, startMinute: 790, minutes: 50 })),
      ),
    ).toBe('Mon, Wed, Fri 1:10 pm')
  })

  it('names a step for the undo button', () => {
    const known = { plans: [], classes: [{ id: ids.class('c'), shortName: '8 B', planId: null }] } as never
    const meeting = {
      kind: 'meeting' as const,
      classId: ids.class('c'),
      on: isoDay('2026-10-22'),
      startMinute: 510,
      from: null,
    }
    expect(
      sayStep({ ...meeting, to: { kind: 'cancel', on: meeting.on, startMinute: 510, why: 'Snow' } }, known),
    ).toBe('8 B: Thu 22 Oct lost')
    expect(sayStep({ ...meeting, to: null }, known)).toBe('8 B: Thu 22 Oct given back')
  })

  it('names every planning act', () => {
    const [c, d] = [ids.class('c'), ids.class('d')]
    const known = {
      plans: [
        aPlan([
          aLesson('W1'),
          aLesson('m', 1, { length: { unit: 'minutes', min: 5, typical: 45, max: 90 } }),
        ]),
      ],
      classes: [
        { id: c, shortName: '8 B', pacing: AS_PLANNED },
        { id: d, shortName: '8 C', pacing: AS_PLANNED },
      ],
    } as never
    const of = { classId: c, lessonId: ids.lesson('W1') }
    const on = isoDay('2026-10-22')
    const note = {
      kind: 'note' as const,
      yearId: 'y' as never,
      from: null,
      to: closure('2026-10-22', '2026-10-22', { name: 'Snow day' }),
    }
    const said = (
      [
        { kind: 'length', ...of, from: null, to: 3 },
        { kind: 'length', classId: c, lessonId: ids.lesson('m'), from: null, to: 60 },
        { kind: 'lesson', ...of, part: 'left', from: null, to: 'let-go' },
        {
          kind: 'lesson',
          ...of,
          part: 'fixed',
          from: null,
          to: { kind: 'within', fromOn: on, throughOn: on },
        },
        { kind: 'lesson', ...of, part: 'fixed', from: null, to: 'free' },
        { kind: 'class', classId: c, part: 'order', from: null, to: [] },
        note,
        { ...note, from: note.to, to: null },
        { kind: 'pattern', classId: c, from: [], to: [] },
        { kind: 'year', yearId: 'y', from: { name: 'old' }, to: { name: '2026/27' } },
        {
          kind: 'plan',
          planId: aPlan([]).id,
          lessons: [{ lessonId: ids.lesson('W1'), from: null, to: null }],
          order: null,
          units: null,
          parts: null,
        },
        {
          kind: 'together',
          purpose: { code: 'ripple', way: 'tighten', cause: 'Snow day, Thu 22 Oct' },
          commands: [note, { kind: 'length', ...of, from: null, to: 1 }],
        },
        {
          kind: 'together',
          purpose: { code: 'covered', lessonId: ids.lesson('W1') },
          commands: [{ kind: 'class', classId: c, part: 'through', from: null, to: null }],
        },
        {
          kind: 'together',
          purpose: { code: 'agree', lessonId: null },
          commands: [
            { kind: 'class', classId: c, part: 'baseline', from: null, to: null },
            { kind: 'class', classId: d, part: 'baseline', from: null, to: null },
          ],
        },
      ] as const
    ).map((command) => sayStep(command as never, known))
    expect(said).toEqual([
      '8 B: W1 takes 1½ meetings',
      '8 B: m takes 60 min',
      '8 B: W1 left out',
      '8 B: W1 within Thu 22 Oct to Thu 22 Oct',
      '8 B: W1 no longer fixed',
      '8 B: another order',
      'Snow day, Thu 22 Oct',
      'Snow day on Thu 22 Oct taken back',
      '8 B: other meeting times',
      '2026/27: the school year changed',
      'Plan: 1 lesson changed',
      'Snow day, Thu 22 Oct, tighten',
      '8 B: W1 covered',
      '8 B, 8 C: agreed as it stands',
    ])
  })

  it('says why a lesson has no place, what is noteworthy, and drift with its sign', () => {
    expect(
      sayNotPlaced(
        { why: 'before-fixed', lessonId: ids.lesson('t'), needHalves: 3, freeHalves: 1 },
        () => 'W2.7',
      ),
    ).toBe('does not fit before W2.7, which is fixed: needs 1½ meetings, ½ are left')
    expect(sayNotPlaced({ why: 'not-covered' }, () => '')).toBe('not covered: its time was lost')
    expect(
      sayFinding({
        code: 'no-meeting-on-fixed-date',
        lessonId: ids.lesson('t'),
        wantedOn: isoDay('2026-10-22'),
        on: isoDay('2026-10-23'),
      }),
    ).toBe('The class does not meet on Thu 22 Oct; it lies on its next meeting, Fri 23 Oct.')
    expect([-4, 1.5, 0, -0.33].map(sayDrift)).toEqual(['−4', '+1½', '0', '−½'])
  })
})

describe('refusals', () => {
  /** Facts enough for any refusal; each takes what it needs. */
  const facts = {
    what: 'class',
    title: 'Check',
    learners: 2,
    seconds: 2,
    until: at('10-21T20:30'),
    from: at('10-21T20:30'),
    seen: { of: 'order' },
    now: { of: 'order' },
    unit: 'meetings',
    opensAt: at('10-21T20:30'),
    closedAt: at('10-21T20:30'),
    used: 2,
    most: 2,
    learnerId: 'l',
    field: 'due',
    name: 'X',
    lines: [3],
    line: 3,
    signIn: 'x',
    lessonId: 'a',
    offset: 1,
    meetings: 3,
    wanted: 6,
    left: 5,
    before: 'opens',
    firstOn: '2026-01-01',
    lastOn: '2026-01-01',
    days: 9,
    zone: 'Z',
    first: 'A',
    second: 'B',
    label: 'C',
    minutes: 3,
    day: '1',
    startMinute: 540,
    count: 9,
    events: 2,
    skipped: [{ name: 'Concert', because: 'not-all-day' }],
    value: 'v',
    item: 2,
    lesson: 'L',
    min: 1,
    typical: 1,
    max: 1,
    halves: 3,
    on: '2026-10-21',
    problem: 'is empty',
    requestId: 'r',
    itemId: 'i',
    expected: 'single',
    limits: 1,
    id: 'x',
    closedBy: 'Snow day',
    part: 'Autumn',
    fromOn: '2026-10-22',
    throughOn: '2026-10-21',
    works: 2,
    quote: 'warm air',
    over: 'the warm air',
    cells: 40,
    number: 2,
    versions: 1,
    trailId: 'guided',
    word: 'wave',
    standard: 'TH.8.W.1',
    names: 'TH.8.W.9',
    circle: ['TH.8.W.1', 'TH.8.W.2'],
    rows: 3,
    row: 2,
    className: 'Science 7 E',
    named: 'csv',
    is: 'pdf',
  }

  it.each(Object.keys(STATUS_OF))('puts %s into a plain sentence', (code) => {
    const field = code === 'attempts/bad-rules' ? 'maxAttempts' : 'due'
    const said = sayRefusal({ ...facts, field, code } as unknown as Refusal, {
      zone: ZONE,
      lesson: () => 'W2.3',
    })
    expect(said).toMatch(/[.!]$/)
    expect(said.length).toBeGreaterThan(10)
    expect(said).not.toMatch(/undefined|null|NaN|\[object/)
  })

  it('tells which field to correct', () => {
    expect(fieldOf({ code: 'access/sign-in-taken', field: 'signIn' })).toBe('signIn')
    expect(fieldOf({ code: 'wire/lost' })).toBeNull()
  })
})
