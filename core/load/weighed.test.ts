import { describe, expect, it } from 'vitest'
import { asId, daysThrough, isoDay, weekdayOf } from '../base'
import type { UserId } from '../base'
import { betterDays, loadOf, weighed } from './index'
import type { LoadPiece } from './index'

const days = daysThrough(isoDay('2026-09-07'), isoDay('2026-09-18')).filter((d) => weekdayOf(d) <= 5)
const [ann, ben] = ['ann', 'ben'].map((id) => asId<UserId>(id)) as [UserId, UserId]
const piece = (learnerId: UserId, minutes: number, on: string): LoadPiece => ({
  learnerIds: [learnerId],
  minutes,
  fromOn: isoDay(on),
  throughOn: isoDay(on),
  isTest: false,
})
const limits = { minutesPerDay: null, minutesPerWeek: 100, piecesPerWeek: 2 }

describe('what work would weigh', () => {
  it('names who would be over the limits with it, and in which week', () => {
    const has = [piece(ann, 80, '2026-09-08'), piece(ben, 20, '2026-09-08')]
    const more = [piece(ann, 30, '2026-09-10'), piece(ben, 30, '2026-09-10')]
    expect(weighed(has, more, days, limits)).toEqual([
      // nothing is due on Wednesday the 9th, one day before
      { mondayOn: '2026-09-07', learnerIds: [ann], better: null },
    ])
    const nextWeek = [piece(ann, 30, '2026-09-15')]
    expect(weighed(has, nextWeek, days, limits)).toEqual([])
  })
  it('counts pieces, and leaves out weeks that it does not touch', () => {
    const has = [10, 11, 12].map((n) => piece(ann, n, '2026-09-08'))
    expect(weighed(has, [piece(ann, 5, '2026-09-15')], days, limits)).toEqual([])
    expect(weighed(has, [piece(ann, 5, '2026-09-09')], days, limits)).toHaveLength(1)
  })
  it('does not take rests of adding for weight', () => {
    const inOctober = daysThrough(isoDay('2026-10-05'), isoDay('2026-10-16')).filter((d) => weekdayOf(d) <= 5)
    const over = (minutes: number, from: string, through: string) => ({
      ...piece(ann, minutes, from),
      throughOn: isoDay(through),
    })
    const has = [over(20, '2026-10-07', '2026-10-15')]
    const more = [over(35, '2026-10-08', '2026-10-09')]
    const heavy = weighed(has, more, inOctober, { ...limits, minutesPerWeek: 10 })
    expect(heavy.map((w) => w.mondayOn)).toEqual(['2026-10-05'])
    // the 7th carries as much as the 12th: a share of the twenty minutes
    const load = loadOf([...has, ...more], inOctober, [ann], 'window')
    const better = betterDays(load, isoDay('2026-10-12'), { within: 9, count: 9 })
    expect(better.map((d) => d.on)).toEqual(['2026-10-06', '2026-10-16', '2026-10-05'])
  })
})
