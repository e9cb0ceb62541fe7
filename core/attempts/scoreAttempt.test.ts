import { describe, expect, it } from 'vitest'
import { isoDay } from '../base'
import type { Instant, IsoDay, ItemId } from '../base'
import type { Answer } from '../library'
import { aTry, at, ids, multiple, single, text } from '../../tests/support/made'
import { zoneOf } from '../calendar'
import { daysLate, keptScore, keptShare, scoreAttempt, shownPoints } from './scoreAttempt'

const days = {
  zoneDayOf: (when: Instant) => new Date(when).toISOString().slice(0, 10) as IsoDay,
  instructional: new Set(['2026-10-15', '2026-10-16', '2026-10-19', '2026-10-20'].map(isoDay)),
}
// due at the end of Thu 15 Oct
const dueAt = at('10-16T00:00')
const perDay = { percentPerDay: 10, per: 'calendar-day' as const, floorPercent: 50 }

describe('scoreAttempt', () => {
  const items = [single('1'), multiple('2'), text('3')]
  const answers = new Map([
    [ids.item('1'), { kind: 'single' as const, choice: 'b' }],
    [ids.item('2'), { kind: 'multiple' as const, choices: ['a'] }],
  ])

  it('adds up points: 1 + 1 of 2 + 0 of 1 makes 2 of 4', () => {
    const got = scoreAttempt(items, answers, { rule: null, dueAt, submittedAt: at('10-15T12:00'), days })
    expect(got).toMatchObject({ points: 2, of: 4, ratio: 0.5, lateDays: 0, deductedRatio: 0 })
    expect(got.items.map((i) => i.points)).toEqual([1, 1, 0])
  })

  it('takes a share off for each day late', () => {
    const got = scoreAttempt(items, answers, { rule: perDay, dueAt, submittedAt: at('10-17T12:00'), days })
    expect(got.lateDays).toBe(2)
    expect(got.ratio).toBeCloseTo(0.4)
    expect(got.deductedRatio).toBeCloseTo(0.1)
  })

  it('scores a piece without items as 0 of 0', () => {
    expect(
      scoreAttempt([], new Map(), { rule: null, dueAt: null, submittedAt: at('10-15T12:00'), days }),
    ).toMatchObject({ points: 0, of: 0, ratio: 0 })
  })
})

describe('daysLate', () => {
  it('counts begun days by the calendar', () => {
    expect(daysLate(dueAt, at('10-15T23:59'), 'calendar-day', days)).toBe(0)
    expect(daysLate(dueAt, dueAt, 'calendar-day', days)).toBe(1)
    expect(daysLate(dueAt, at('10-16T23:59'), 'calendar-day', days)).toBe(1)
    expect(daysLate(dueAt, at('10-18T00:00'), 'calendar-day', days)).toBe(3)
  })

  it('counts local dates, not spans of 24 hours, across both clock changes', () => {
    const zone = zoneOf('America/Denver')
    const local = { ...days, zoneDayOf: (when: Instant) => zone.local(when).on }
    const late = (dueOn: string, on: string, minute: number) =>
      daysLate(zone.at(isoDay(dueOn), 1440), zone.at(isoDay(on), minute), 'calendar-day', local)
    // 31 Oct to 1 Nov 23:30: 24½ hours, one date
    expect(late('2026-10-31', '2026-11-01', 1410)).toBe(1)
    // 13 Mar to 15 Mar 0:10: 23 hours and 10 minutes, two dates
    expect(late('2027-03-13', '2027-03-15', 10)).toBe(2)
    expect(late('2026-11-03', '2026-11-04', 0)).toBe(1)
    // due at three, in at four the same day
    expect(
      daysLate(zone.at(isoDay('2026-11-03'), 900), zone.at(isoDay('2026-11-03'), 960), 'calendar-day', local),
    ).toBe(1)
  })

  it('counts school days only, where the rule says so', () => {
    // due Thu; Fri is one, Sat and Sun none, Mon the second
    expect(daysLate(dueAt, at('10-16T09:00'), 'instructional-day', days)).toBe(1)
    expect(daysLate(dueAt, at('10-18T09:00'), 'instructional-day', days)).toBe(1)
    expect(daysLate(dueAt, at('10-19T09:00'), 'instructional-day', days)).toBe(2)
  })

  it('is one day at least once it is late', () => {
    expect(daysLate(at('10-17T00:00'), at('10-17T09:00'), 'instructional-day', days)).toBe(1)
  })
})

describe('the score of an adaptive try', () => {
  it('is what its learner would be expected to earn over the whole bank', () => {
    const bank = [1, 2, 3, 4, 5].map((difficulty) => single(`${difficulty}`, { difficulty }))
    const late = { rule: null, dueAt: null, submittedAt: at('10-15T12:00'), days }
    const right = new Map<ItemId, Answer>([[ids.item('3'), { kind: 'single', choice: 'b' }]])
    const score = scoreAttempt([bank[2]!], right, late, bank)
    // all of one point earned, but an ability of 0.731 is expected
    expect(score).toMatchObject({ points: 1, of: 1, estimate: { ability: expect.closeTo(0.7311, 3) } })
    const { ability } = score.estimate!
    const expected = [-2, -1, 0, 1, 2].map((b) => 1 / (1 + Math.exp(b - ability)))
    expect(score.ratio).toBeCloseTo(expected.reduce((a, b) => a + b, 0) / 5, 8)
    expect(scoreAttempt([bank[2]!], right, late).ratio).toBe(1)
  })
})

describe('keptShare', () => {
  it('never falls below the floor', () => {
    expect([0, 1, 4, 5, 6, 100].map((n) => keptShare(perDay, n))).toEqual([1, 0.9, 0.6, 0.5, 0.5, 0.5])
  })
})

describe('keptScore', () => {
  const tries = [aTry(2, 0.6), aTry(1, 0.8), aTry(3, 0.7)]

  it('keeps the best, latest, first or the mean', () => {
    expect(keptScore(tries, 'best')).toBe(0.8)
    expect(keptScore(tries, 'latest')).toBe(0.7)
    expect(keptScore(tries, 'first')).toBe(0.8)
    expect(keptScore(tries, 'mean')).toBeCloseTo(0.7)
  })

  it('has none before anything is handed in, and ignores a try in progress', () => {
    expect(keptScore([], 'best')).toBeNull()
    expect(keptScore([aTry(1, 0, { score: null, submittedAt: null })], 'best')).toBeNull()
    expect(keptScore([aTry(1, 0.4), aTry(2, 0, { score: null, submittedAt: null })], 'latest')).toBe(0.4)
  })
})

describe('shownPoints', () => {
  it('shows points with two decimals at most', () => {
    expect([2 / 3, 1, 0.125].map(shownPoints)).toEqual([0.67, 1, 0.13])
  })
})
