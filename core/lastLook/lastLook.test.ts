import { describe, expect, it } from 'vitest'
import { P1, PLAIN_WORK, aYear, at, ids, onDays, piecesOf, rules, single } from '../../tests/support/made'
import type { ItemChoice } from '../attempts'
import { NO_WINDOW } from '../availability'
import type { Moment } from '../availability'
import { asId, isoDay } from '../base'
import type { ResourceId, UserId } from '../base'
import { meetings, zoneOf } from '../calendar'
import type { Draft } from '../work'
import { lastLook } from './index'
import type { ClassAtLastLook, LastLookFacts, OtherWork } from './index'

const room = ids.class('a')
const lesson = ids.lesson('l')
const check = asId<ResourceId>('check')
const pieces = piecesOf(check)
const now = at('09-07T12:00')
/** Meets Mon, Wed, Fri at 9:00 UTC for 50 minutes; terms end on Fri 18 Sep and Fri 11 Jun. */
const calendar = meetings({ ...aYear(), zone: 'UTC' }, room, onDays(1, 3, 5), [])
const draft = (part: Partial<Draft> = {}): Draft => ({
  pieces,
  title: 'Check',
  note: '',
  ...PLAIN_WORK,
  window: NO_WINDOW,
  rules: rules(),
  targets: [{ target: { kind: 'class', classId: room }, overrides: {} }],
  exceptIds: [],
  ...part,
})
const aClass = (part: Partial<ClassAtLastLook> = {}): ClassAtLastLook => ({
  classId: room,
  window: { ...NO_WINDOW, opens: at('09-09T09:00'), due: at('09-14T09:50'), closes: at('09-14T09:50') },
  pieces: [],
  span: { meetings: 3, days: 4, tight: false },
  ground: { zone: zoneOf('UTC'), meetings: calendar.meetings },
  termEnds: [isoDay('2026-09-18'), isoDay('2027-06-11')],
  covered: new Set(),
  had: new Map(),
  learnerIds: [],
  others: [],
  heavyWeeks: [],
  waiting: [],
  ...part,
})
const facts = (part: Partial<LastLookFacts>): LastLookFacts => ({
  draft: draft(),
  classes: [],
  reached: [],
  pieces: new Map(),
  now,
  from: part.now ?? now,
  ...part,
})
const look = (part: Partial<ClassAtLastLook>, of = draft()) =>
  lastLook(facts({ draft: of, classes: [aClass(part)] }))
const due = (text: string, opens = '09-09T09:00') => ({
  window: { ...NO_WINDOW, opens: at(opens), due: at(text), closes: at(text) },
})

describe('the last look', () => {
  it('finds nothing in what is as it should be', () => {
    expect(look({})).toEqual([])
    expect(look({ window: { ...NO_WINDOW, opens: at('09-09T09:00') } })).toEqual([])
  })

  it('says what is over, and then nothing else of its window', () => {
    const tight = { meetings: 1, days: 1, tight: true }
    expect(look({ ...due('09-07T12:00', '09-04T09:00'), span: tight })).toEqual([
      { code: 'due-in-past', classId: room, pieceId: null },
    ])
    const own = [{ pieceId: pieces[0]!.id, window: { ...NO_WINDOW, due: at('09-04T09:00') } }]
    expect(look({ pieces: own })).toEqual([{ code: 'due-in-past', classId: room, pieceId: 'p1' }])
  })

  it('says what opens at once and what one absence would miss', () => {
    const tight = { meetings: 1, days: 2, tight: true }
    expect(look({ ...due('09-14T09:50', '09-04T09:00'), span: tight }).map((c) => c.code)).toEqual([
      'tight',
      'opens-at-once',
    ])
  })

  it('names the next meeting where the class does not meet on the due day', () => {
    // Tue 15 Sep; the next meeting is Wed 16 Sep, 9:00 to 9:50
    expect(look(due('09-15T16:00'))).toEqual([
      {
        code: 'no-meeting-on-due-day',
        classId: room,
        on: '2026-09-15',
        next: { on: '2026-09-16', minuteOfDay: 9 * 60 + 50 },
      },
    ])
    // through Mon 14 Sep: the moment lies on Tuesday, the day is Monday
    expect(look(due('09-15T00:00'))).toEqual([])
  })

  it('says when the term is over by then, not when another has begun', () => {
    expect(look(due('09-21T09:50'))).toEqual([
      { code: 'past-term', classId: room, on: '2026-09-21', termEndsOn: '2026-09-18' },
    ])
    expect(look(due('09-25T09:50', '09-21T09:00'))).toEqual([])
  })

  it('knows lessons that are covered and pieces that the class had', () => {
    const anchor: Moment = {
      kind: 'anchor',
      lessonId: lesson,
      edge: 'first',
      offset: 0,
      step: 'meetings',
      at: 'class-start',
    }
    const onLesson = draft({ window: { ...NO_WINDOW, opens: anchor } })
    expect(look({ covered: new Set([lesson]) }, onLesson)).toEqual([
      { code: 'covered', classId: room, lessonId: lesson },
    ])
    expect(look({ covered: new Set([lesson]) })).toEqual([])
    expect(look({ had: new Map([[check, 'Last week']]) })).toEqual([
      { code: 'already-given', classId: room, resourceId: check, title: 'Last week' },
    ])
  })

  it('counts who is in several of the classes, not who is in one by name and group', () => {
    const other = ids.class('b')
    const reached = [
      { learnerId: ids.user('ann'), classIds: [room, other], groupIds: [], byClass: true, byName: false },
      { learnerId: ids.user('bo'), classIds: [room], groupIds: [], byClass: true, byName: true },
      { learnerId: ids.user('cy'), classIds: [room, other], groupIds: [], byClass: false, byName: true },
    ]
    expect(lastLook(facts({ classes: [aClass()], reached }))).toEqual([
      { code: 'in-several', learnerIds: ['ann'] },
    ])
  })
})

describe('the last look at pieces and at what else there is', () => {
  const items = [1, 2, 3].map((n) => single(`q${n}`, { difficulty: n }))
  const known = new Map([[P1, { isTest: true, minutes: 40, items }]])
  const all = (of: Draft, part: Partial<ClassAtLastLook> = {}, reached: LastLookFacts['reached'] = []) =>
    lastLook({ draft: of, classes: [aClass(part)], reached, pieces: known, now, from: now })
  const other = (part: Partial<OtherWork> = {}): OtherWork => ({
    title: 'Test',
    minutes: 30,
    isTest: true,
    ...due('09-14T20:00'),
    ...part,
  })

  it('finds draws that the bank is short of', () => {
    const drawn = (count: number): ItemChoice => ({
      kind: 'drawn',
      again: 'new',
      shares: [{ standard: null, hardness: 'easy', count }],
    })
    expect(all(draft({ rules: rules({ items: drawn(2) }) }))).toEqual([])
    const short = { code: 'drawn-short', pieceId: P1, asked: 3, has: 2 }
    expect(all(draft({ rules: rules({ items: drawn(3) }) }))).toEqual([short])
    const adaptive = { kind: 'adaptive', most: 5, untilError: null } as const
    expect(all(draft({ rules: rules({ items: adaptive }) }))).toMatchObject([{ asked: 5, has: 3 }])
  })

  it('finds the few of a class who were forgotten, but not who was excepted or a group of it', () => {
    const people = ['ann', 'bo', 'cy', 'di'].map((id) => ids.user(id))
    const reached = (...ids_: readonly UserId[]) =>
      ids_.map((learnerId) => ({ learnerId, classIds: [room], groupIds: [], byClass: false, byName: true }))
    const three = reached(...people.slice(0, 3))
    const left = { code: 'left-out', classId: room, learnerIds: ['di'] }
    expect(all(draft(), { learnerIds: people }, three)).toEqual([left])
    expect(all(draft({ exceptIds: [ids.user('di')] }), { learnerIds: people }, three)).toEqual([])
    expect(all(draft(), { learnerIds: people }, reached(...people.slice(0, 2)))).toEqual([])
  })

  it('finds a test that would have to wait, two tests on a day, and a full day', () => {
    const codes = (of: Draft, others: readonly OtherWork[]) => all(of, { others }).map((c) => c.code)
    expect(codes(draft({ isFirst: true }), [other(due('09-11T09:00'))])).toEqual(['blocks-test'])
    expect(codes(draft({ isFirst: true }), [other(due('09-08T09:00', '09-07T09:00'))])).toEqual([])
    expect(codes(draft(), [other()])).toEqual(['two-tests'])
    expect(codes(draft(), [other({ isTest: false })])).toEqual([])
    expect(all(draft(), { others: [other({ isTest: false, minutes: 51 })] })).toEqual([
      { code: 'full-day', classId: room, on: '2026-09-14', minutes: 91, titles: ['Test'] },
    ])
    expect(codes(draft(), [other({ window: null })])).toEqual([])
  })

  it('counts from now what opens when it is published', () => {
    const codes = (of: Partial<ClassAtLastLook>, from = now) =>
      lastLook(facts({ draft: draft({ isFirst: true }), classes: [aClass(of)], from })).map((c) => c.code)
    const over = other({ ...due('09-04T09:00', '09-01T09:00') })
    const open = other({ ...due('09-18T09:00', '09-01T09:00'), title: 'Open' })
    // a test that closed on Friday the 4th is not open meanwhile; the one that is open is named
    expect(codes({ window: NO_WINDOW, others: [over] })).toEqual([])
    expect(codes({ window: NO_WINDOW, others: [over, open] })).toEqual(['blocks-test'])
    // published on the 2nd, it has been open beside it
    expect(codes({ window: NO_WINDOW, others: [over] }, at('09-02T09:00'))).toEqual(['blocks-test'])
  })

  it('says that scores and answers would never be shown', () => {
    const one = { isTest: false, minutes: 10, items: [single('1')] }
    const seen = (
      part: Partial<ReturnType<typeof rules>>,
      window: ClassAtLastLook['window'],
      items = one.items,
    ) =>
      lastLook(
        facts({
          draft: draft({
            rules: rules({ maxAttempts: 1, feedback: 'submission', answers: 'submission', ...part }),
          }),
          classes: [aClass({ window })],
          pieces: new Map([[P1, { ...one, items }]]),
        }),
      )
    const never = (what: string) => [{ code: 'never-shown', pieceId: P1, what }]
    expect(seen({ answers: 'close' }, NO_WINDOW)).toEqual(never('answers'))
    expect(seen({ feedback: 'own-close' }, NO_WINDOW)).toEqual(never('scores'))
    expect(seen({ feedback: 'close', answers: 'close' }, NO_WINDOW)).toEqual(never('both'))
    expect(seen({ answers: 'never' }, NO_WINDOW)).toEqual([])
    expect(seen({ answers: 'close' }, aClass().window)).toEqual([])
    expect(seen({ answers: 'close' }, NO_WINDOW, [])).toEqual([])
  })

  it('says in how many questions right answers come before a further try that asks them again', () => {
    const seen = (part: Partial<ReturnType<typeof rules>>) =>
      lastLook(
        facts({
          draft: draft({ rules: rules({ feedback: 'submission', maxAttempts: 2, ...part }) }),
          pieces: new Map([[P1, { isTest: false, minutes: 10, items }]]),
        }),
      )
    expect(seen({ answers: 'submission' })).toEqual([{ code: 'gives-away', pieceId: P1, items: 3 }])
    expect(seen({ answers: 'close' })).toEqual([])
    expect(seen({ answers: 'submission', maxAttempts: 1 })).toEqual([])
    expect(seen({ answers: 'submission', maxAttempts: null })).toEqual([])
  })

  it('says that there is less time than a piece takes, where all of it is asked', () => {
    const seen = (timeLimitMinutes: number | null, items: ItemChoice = { kind: 'all' }) =>
      lastLook(
        facts({
          draft: draft({ rules: rules({ timeLimitMinutes, items }) }),
          pieces: new Map([[P1, { isTest: true, minutes: 45, items: [single('1')] }]]),
        }),
      )
    expect(seen(40)).toEqual([{ code: 'short-time', pieceId: P1, limit: 40, minutes: 45 }])
    expect(seen(45)).toEqual([])
    expect(seen(null)).toEqual([])
    const drawn: ItemChoice = {
      kind: 'drawn',
      shares: [{ count: 1, standard: null, hardness: null }],
      again: 'same',
    }
    expect(seen(40, drawn).map((c) => c.code)).not.toContain('short-time')
  })

  it('says how many pieces each learner would get', () => {
    const many = piecesOf(...Array.from({ length: 8 }, () => check))
    const minutes = new Map(many.map((p) => [p.id, { isTest: false, minutes: 5, items: [] }]))
    expect(lastLook(facts({ draft: draft({ pieces: many }), pieces: minutes }))).toEqual([
      { code: 'many-pieces', pieces: 8, minutes: 40 },
    ])
    expect(lastLook(facts({ draft: draft({ pieces: many.slice(1) }), pieces: minutes }))).toEqual([])
  })

  it('says who waits in a queue, and for whom it is over before it came', () => {
    const waits = (learnerId: string, until: string) => ({
      learnerId: ids.user(learnerId),
      until: at(until),
      category: 'Homework',
      most: 2,
    })
    const waiting = [waits('ann', '09-14T09:50'), waits('bo', '09-07T11:00')]
    const seen = { classId: room, learnerIds: ['ann'] }
    expect(all(draft(), { waiting })).toEqual([
      { code: 'waits', category: 'Homework', most: 2, ...seen },
      { code: 'waited-in-vain', classId: room, learnerIds: ['bo'] },
    ])
  })

  it('says which weeks it makes too much, and which day would be lighter', () => {
    const week = {
      mondayOn: isoDay('2026-09-14'),
      learnerIds: [ids.user('ann')],
      better: isoDay('2026-09-22'),
    }
    expect(all(draft(), { heavyWeeks: [week] })).toEqual([{ code: 'heavy-week', classId: room, ...week }])
  })
})
