import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { AssignmentId, Instant, UserId } from '../base'
import { hasRoom, openAt, queueTurn } from './index'
import type { Carried, Queued } from './index'

const piece = (from: number | null = null, until: number | null = null): Carried => ({
  from: from as Instant | null,
  until: until as Instant | null,
})
const queued = (id: string, since: number, window = piece(), pieces = 1): Queued => ({
  ...window,
  assignmentId: asId<AssignmentId>(id),
  learnerId: asId<UserId>('ann'),
  pieces,
  since: since as Instant,
})
const now = 100 as Instant
const ids = (list: readonly Queued[]) => list.map((q) => q.assignmentId).join('')

describe('a ceiling on open pieces', () => {
  it('counts what is open at a moment: its end is outside, and what never ends stays', () => {
    const list = [piece(null, 100), piece(100, 101), piece(101), piece()]
    expect([openAt(list, 99 as Instant), openAt(list, now)]).toEqual([2, 2])
  })

  it('lets in what fits, and what is larger than the ceiling only alone', () => {
    expect([hasRoom(1, 1, 2), hasRoom(2, 1, 2)]).toEqual([true, false])
    expect([hasRoom(0, 3, 2), hasRoom(1, 3, 2)]).toEqual([true, false])
  })

  it('releases in order while there is room, and reports what is too late', () => {
    const queue = [queued('c', 3), queued('a', 1, piece(null, 50)), queued('b', 2), queued('d', 4)]
    const { out, tooLate, waits } = queueTurn(queue, [piece()], 3, now)
    expect([ids(out), ids(tooLate), ids(waits)]).toEqual(['bc', 'a', 'd'])
  })

  it('lets nothing overtake what waits before it', () => {
    const queue = [queued('a', 1, piece(), 2), queued('b', 2)]
    expect(ids(queueTurn(queue, [piece()], 2, now).out)).toBe('')
    expect(ids(queueTurn(queue, [], 2, now).out)).toBe('a')
  })

  it('looks for room at the moment when work opens', () => {
    const later = queued('a', 1, piece(200, 300))
    expect(ids(queueTurn([later], [piece(null, 150)], 1, now).out)).toBe('a')
    expect(ids(queueTurn([later], [piece(null, 250)], 1, now).out)).toBe('')
    expect(ids(queueTurn([later, queued('b', 2, piece(200, 300))], [], 1, now).out)).toBe('a')
  })

  it('loses nothing, keeps the order, and never goes over the ceiling', () => {
    const anyPiece = fc
      .tuple(fc.integer({ min: 0, max: 200 }), fc.integer({ min: 1, max: 100 }))
      .map(([from, length]) => piece(from, from + length))
    const anyQueue = fc.array(
      fc.record({
        window: anyPiece,
        pieces: fc.integer({ min: 1, max: 4 }),
        since: fc.integer({ min: 0, max: 90 }),
      }),
      { maxLength: 12 },
    )
    const most = fc.integer({ min: 1, max: 6 })
    fc.assert(
      fc.property(anyQueue, fc.array(anyPiece, { maxLength: 6 }), most, (list, carried, ceiling) => {
        const queue = list.map((q, i) => queued(`q${i}`, q.since, q.window, q.pieces))
        const { out, tooLate, waits } = queueTurn(queue, carried, ceiling, now)
        expect(out.length + tooLate.length + waits.length).toBe(queue.length)
        expect(new Set([...out, ...tooLate, ...waits]).size).toBe(queue.length)
        const has = [...carried]
        for (const q of out) {
          const open = openAt(has, Math.max(now, q.from ?? now) as Instant)
          if (open > 0) expect(open + q.pieces).toBeLessThanOrEqual(ceiling)
          has.push(...Array.from({ length: q.pieces }, () => q))
          expect(waits.every((w) => w.since >= q.since)).toBe(true)
        }
        const isOver = (q: Queued) => q.until !== null && q.until <= now
        expect(tooLate.every(isOver)).toBe(true)
        expect([...out, ...waits].some(isOver)).toBe(false)
      }),
    )
  })
})
