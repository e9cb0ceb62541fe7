import { describe, expect, it } from 'vitest'
import { asId, daysThrough, isoDay, weekdayOf } from '../base'
import type { UserId } from '../base'
import { weighed } from './index'
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
})
