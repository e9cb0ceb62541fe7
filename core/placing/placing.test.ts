import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ids } from '../../tests/support/made'
import { addDays, asId, isoDay } from '../base'
import type { ResourceId } from '../base'
import type { Target } from '../audience'
import type { Draft } from '../work'
import { movedTo, oneADay, placedDraft, placedFor, staysOf, takenFrom, throughOf } from './index'
import type { MeetingDays } from './index'

const day = (n: number) => isoDay(`2026-11-${String(n).padStart(2, '0')}`)
const days = (...list: number[]) => list.map(day)
/** A meets Mon, Wed, Fri; B on Tue and Thu. */
const A = days(2, 4, 6, 9, 11, 13)
const B = days(3, 5, 10, 12)
const [a, b]: Target[] = ['a', 'b'].map((id) => ({ kind: 'class', classId: ids.class(id) }))
const meetingDays: MeetingDays = new Map([
  ['class a', A],
  ['class b', B],
])
const piece = { id: asId<ResourceId>('r'), revision: 2, title: 'Practice', kind: 'practice-set' as const }
const laid = (on: number, stays: number | null = 1) =>
  placedDraft(piece, { on: day(on), stays, targets: [a!, b!], meetingDays })
const lies = (draft: Draft | null) =>
  ['class a', 'class b'].map((key) => {
    const of = draft && placedFor(draft, key)
    return of && `${of.opensOn.slice(8)}-${of.throughOn?.slice(8) ?? ''}${of.isOwn ? ' own' : ''}`
  })

describe('a piece laid on a day', () => {
  it('stays through the n-th meeting afterwards, of each class its own, and the end is inside', () => {
    expect(throughOf(day(2), A, 1)).toBe('2026-11-04')
    expect(throughOf(day(3), A, 2)).toBe('2026-11-06')
    expect([throughOf(day(13), A, 1), throughOf(day(2), A, 99)]).toEqual(['2026-11-13', '2026-11-13'])
    expect(throughOf(day(2), A, null)).toBeNull()
    expect(lies(laid(2))).toEqual(['02-04', '02-03'])
    expect(lies(laid(2, null))).toEqual(['02-', '02-'])
    expect(laid(2).pieces[0]).toMatchObject({ resourceId: 'r', revision: 2 })
  })

  it('moves for all that lie together, over as many meetings as before', () => {
    const moved = movedTo(laid(2, 2), { on: day(4), key: 'class b', alone: false }, meetingDays)
    // A: 9 Nov is its second meeting after the 4th; B: the 10th
    expect(lies(moved)).toEqual(['04-09', '04-10'])
  })

  it('moves for one alone, which then goes alone until it lies with the others again', () => {
    const alone = movedTo(laid(2), { on: day(9), key: 'class b', alone: true }, meetingDays)!
    expect(lies(alone)).toEqual(['02-04', '09-10 own'])
    const others = movedTo(alone, { on: day(4), key: 'class a', alone: false }, meetingDays)!
    expect(lies(others)).toEqual(['04-06', '09-10 own'])
    const sameEnd = movedTo(laid(4, 2), { on: day(5), key: 'class b', alone: true }, meetingDays)!
    expect(lies(sameEnd)).toEqual(['04-09', '05-12 own'])
    expect(lies(movedTo(sameEnd, { on: day(2), key: 'class a', alone: false }, meetingDays))).toEqual([
      '02-06',
      '05-12 own',
    ])
    const again = movedTo(others, { on: day(10), key: 'class b', alone: false }, meetingDays)!
    expect(lies(again)).toEqual(['04-06', '10-12 own'])
    expect(lies(movedTo(again, { on: day(4), key: 'class b', alone: false }, meetingDays))).toEqual([
      '04-06',
      '04-05',
    ])
  })

  it('is taken from one, and is gone with the last', () => {
    const less = takenFrom(laid(2), 'class a')!
    expect(lies(less)).toEqual([null, '02-03'])
    expect(takenFrom(less, 'class b')).toBeNull()
  })

  it('is no piece by days where it hangs on a lesson, or takes in late work', () => {
    const opens = {
      kind: 'anchor' as const,
      lessonId: ids.lesson('l'),
      edge: 'first' as const,
      offset: 0,
      step: 'meetings' as const,
      at: 'class-start' as const,
    }
    const hung = { ...laid(2), window: { ...laid(2).window, opens } }
    expect(placedFor(hung, 'class a')).toBeNull()
    expect(movedTo(hung, { on: day(4), key: 'class a', alone: false }, meetingDays)).toBeNull()
    // a move would take the days in which late work still comes in
    const late = { ...laid(2), window: { ...laid(2).window, closes: { kind: 'day' as const, on: day(9) } } }
    expect(placedFor(late, 'class a')).toBeNull()
  })

  it('comes back to where it was when it is moved there and back', () => {
    const anyDay = fc.integer({ min: 2, max: 8 })
    fc.assert(
      fc.property(anyDay, anyDay, fc.integer({ min: 1, max: 2 }), fc.boolean(), (from, to, stays, alone) => {
        const start = laid(from, stays)
        const there = movedTo(start, { on: day(to), key: 'class a', alone }, meetingDays)!
        const back = movedTo(there, { on: day(from), key: 'class a', alone }, meetingDays)!
        expect(lies(back)).toEqual(lies(start))
        const other = placedFor(there, 'class b')!
        expect(other.opensOn).toBe(alone ? day(from) : day(to))
        expect(staysOf(placedFor(there, 'class a')!, A)).toBe(stays)
      }),
    )
  })
})

describe('pieces one a day', () => {
  it('take the days from one on, in order, as far as they reach', () => {
    expect(oneADay(2, [...A, ...B], day(3))).toEqual(days(3, 4))
    expect(oneADay(9, A, day(9))).toEqual(days(9, 11, 13))
    expect(oneADay(3, A, addDays(day(13), 1))).toEqual([])
  })
})
