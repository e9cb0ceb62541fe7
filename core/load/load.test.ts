import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, asId, daysThrough, isoDay, mondayOf, weekdayOf } from '../base'
import type { IsoDay, UserId } from '../base'
import { USUAL_LIMITS, betterDays, cautionsIn, loadOf, weeksOver } from './index'
import type { LoadPiece, Spread } from './index'

const ANN = asId<UserId>('ann')
const BEN = asId<UserId>('ben')
const d = isoDay
const piece = (minutes: number, from: string, through: string, part: Partial<LoadPiece> = {}): LoadPiece => ({
  learnerIds: [ANN],
  minutes,
  fromOn: d(from),
  throughOn: d(through),
  isTest: false,
  ...part,
})
/** Monday 5 to Friday 16 October 2026, without Thursday the 8th and Friday the 9th. */
const days = daysThrough(d('2026-10-05'), d('2026-10-16')).filter(
  (day) => weekdayOf(day) <= 5 && day !== '2026-10-08' && day !== '2026-10-09',
)

describe('what a learner carries', () => {
  it('is spread evenly over the school days of each window', () => {
    const load = loadOf(
      [piece(60, '2026-10-06', '2026-10-13'), piece(20, '2026-10-12', '2026-10-12')],
      days,
      [ANN, BEN],
      'window',
    )
    // 6, 7, 12, 13: four school days of 15 minutes
    expect(load.learners[0]?.days).toEqual([0, 15, 15, 35, 15, 0, 0, 0])
    expect(load.weeks).toEqual(['2026-10-05', '2026-10-12'])
    expect(load.learners[0]?.weeks).toEqual([30, 50])
    expect(load.learners[0]?.pieces).toEqual([0, 2])
    expect(load.learners[1]).toEqual({
      learnerId: BEN,
      days: Array(8).fill(0),
      weeks: [0, 0],
      pieces: [0, 0],
      tests: Array(8).fill(0),
    })
  })

  it('lies on the last day where that is chosen', () => {
    const load = loadOf([piece(60, '2026-10-06', '2026-10-13')], days, [ANN], 'due')
    expect(load.learners[0]?.days).toEqual([0, 0, 0, 0, 60, 0, 0, 0])
  })

  it('ends on the school day before a last day without school, and waits for the next where there is none', () => {
    const weekend = loadOf([piece(30, '2026-10-07', '2026-10-11')], days, [ANN], 'window')
    expect(weekend.learners[0]?.days.indexOf(30)).toBe(2)
    const closed = loadOf([piece(30, '2026-10-08', '2026-10-10')], days, [ANN], 'window')
    expect(closed.learners[0]?.days.indexOf(30)).toBe(3)
    const outside = loadOf(
      [piece(30, '2026-09-01', '2026-10-04'), piece(30, '2026-10-17', '2026-10-20')],
      days,
      [ANN],
      'window',
    )
    expect(outside.learners[0]?.days).toEqual(Array(8).fill(0))
  })

  it('is too much above the limits, and with two tests in a day', () => {
    const test = (on: string) => piece(40, on, on, { isTest: true })
    const load = loadOf(
      [
        test('2026-10-12'),
        test('2026-10-12'),
        ...[1, 2, 3, 4].map(() => piece(45, '2026-10-13', '2026-10-14')),
      ],
      days,
      [ANN],
      'window',
    )
    expect(cautionsIn(load, USUAL_LIMITS)).toEqual([
      { kind: 'minutes-in-day', learnerId: ANN, on: '2026-10-12', minutes: 80 },
      { kind: 'minutes-in-day', learnerId: ANN, on: '2026-10-13', minutes: 90 },
      { kind: 'minutes-in-day', learnerId: ANN, on: '2026-10-14', minutes: 90 },
      { kind: 'minutes-in-week', learnerId: ANN, on: '2026-10-12', minutes: 260 },
      { kind: 'pieces-in-week', learnerId: ANN, on: '2026-10-12', count: 6 },
      { kind: 'tests-in-day', learnerId: ANN, on: '2026-10-12', count: 2 },
    ])
    expect([...weeksOver(load, USUAL_LIMITS)]).toEqual([[ANN, { asWhole: [1], inDays: [1] }]])
    const none = { minutesPerDay: null, minutesPerWeek: null, piecesPerWeek: null }
    expect(cautionsIn(load, none).map((c) => c.kind)).toEqual(['tests-in-day'])
  })

  it('says which days near would be better for who carries most', () => {
    const load = loadOf(
      [
        piece(50, '2026-10-12', '2026-10-12'),
        piece(10, '2026-10-13', '2026-10-13', { learnerIds: [BEN] }),
        piece(60, '2026-10-07', '2026-10-07'),
      ],
      days,
      [ANN, BEN],
      'window',
    )
    expect(betterDays(load, d('2026-10-12'), { within: 2, count: 3 })).toEqual([
      { on: '2026-10-06', most: 0 },
      { on: '2026-10-14', most: 0 },
      { on: '2026-10-13', most: 10 },
    ])
    expect(betterDays(load, d('2026-10-08'), { within: 2, count: 3 })).toEqual([])
  })
})

/** Day by day, piece by piece: the same, slowly. */
function slowly(
  pieces: readonly LoadPiece[],
  days: readonly IsoDay[],
  who: UserId,
  spread: Spread,
): readonly number[] {
  return days.map((day) =>
    pieces
      .filter((p) => p.learnerIds.includes(who))
      .reduce((sum, p) => {
        const [first, last] = [days[0] as IsoDay, days.at(-1) as IsoDay]
        if (p.throughOn < first || p.fromOn > last) return sum
        const within = days.filter((x) => x >= p.fromOn && x <= p.throughOn)
        const next = days.find((x) => x >= p.fromOn) ?? last
        const on = within.length > 0 ? within : [next]
        const carrying = spread === 'due' ? on.slice(-1) : on
        return sum + (carrying.includes(day) ? p.minutes / carrying.length : 0)
      }, 0),
  )
}

describe('laws of load', () => {
  const first = d('2026-08-24')
  const someDays = fc
    .array(fc.boolean(), { minLength: 1, maxLength: 60 })
    .map((open) => daysThrough(first, addDays(first, open.length - 1)).filter((_, i) => open[i]))
    .filter((list) => list.length > 0)
  const anyPiece = fc
    .record({
      who: fc.uniqueArray(fc.constantFrom(ANN, BEN), { minLength: 1 }),
      minutes: fc.integer({ min: 1, max: 90 }),
      from: fc.integer({ min: -9, max: 65 }),
      length: fc.integer({ min: 0, max: 12 }),
      isTest: fc.boolean(),
    })
    .map((p) => ({
      ...piece(p.minutes, addDays(first, p.from), addDays(first, p.from + p.length)),
      learnerIds: p.who,
      isTest: p.isTest,
    }))
  const anySpread = fc.constantFrom<Spread>('window', 'due')

  it('agrees with its slow twin, and weeks are the sums of their days', () => {
    fc.assert(
      fc.property(fc.array(anyPiece), someDays, anySpread, (pieces, on, spread) => {
        const load = loadOf(pieces, on, [ANN, BEN], spread)
        for (const l of load.learners) {
          const slow = slowly(pieces, on, l.learnerId, spread)
          for (const [i, minutes] of l.days.entries()) expect(minutes).toBeCloseTo(slow[i] ?? 0, 6)
          for (const [w, minutes] of l.weeks.entries()) {
            const sum = on.reduce(
              (all, day, i) => all + (mondayOf(day) === load.weeks[w] ? (l.days[i] ?? 0) : 0),
              0,
            )
            expect(minutes).toBeCloseTo(sum, 6)
          }
        }
      }),
    )
  })

  it('loses no minute, no piece and no test of what lies within', () => {
    fc.assert(
      fc.property(fc.array(anyPiece), someDays, anySpread, (pieces, on, spread) => {
        const within = pieces.filter((p) => p.throughOn >= on[0]! && p.fromOn <= on.at(-1)!)
        const { learners } = loadOf(pieces, on, [ANN, BEN], spread)
        const total = (of: (l: (typeof learners)[number]) => readonly number[]) =>
          learners.flatMap(of).reduce((a, b) => a + b, 0)
        expect(total((l) => l.days)).toBeCloseTo(
          within.reduce((a, p) => a + p.minutes * p.learnerIds.length, 0),
          6,
        )
        const had = (list: readonly LoadPiece[]) => list.flatMap((p) => p.learnerIds).length
        expect(total((l) => l.pieces)).toBe(had(within))
        expect(total((l) => l.tests)).toBe(had(within.filter((p) => p.isTest)))
      }),
    )
  })
})
