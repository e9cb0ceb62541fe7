import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { asId } from '../base'
import type { AssignmentId, Instant, UserId } from '../base'
import { hasRoom, queueTurn } from './index'
import type { Queued } from './index'

const ann = asId<UserId>('ann')
const queued = (id: string, since: number, part: Partial<Queued> = {}): Queued => ({
  assignmentId: asId<AssignmentId>(id),
  learnerId: ann,
  pieces: 1,
  since: since as Instant,
  endsAt: null,
  ...part,
})
const now = 100 as Instant
const ids = (list: readonly Queued[]) => list.map((q) => q.assignmentId).join('')

describe('a ceiling on open pieces', () => {
  it('lets in what fits, and what is larger than the ceiling only alone', () => {
    expect([hasRoom(1, 1, { most: 2 }), hasRoom(2, 1, { most: 2 })]).toEqual([true, false])
    expect([hasRoom(0, 3, { most: 2 }), hasRoom(1, 3, { most: 2 })]).toEqual([true, false])
  })

  it('releases in order while there is room, and reports what is too late', () => {
    const queue = [queued('c', 3), queued('a', 1, { endsAt: 50 as Instant }), queued('b', 2), queued('d', 4)]
    const { out, tooLate, waits } = queueTurn(queue, 1, { most: 3 }, now)
    expect([ids(out), ids(tooLate), ids(waits)]).toEqual(['bc', 'a', 'd'])
  })

  it('lets nothing overtake what waits before it', () => {
    const queue = [queued('a', 1, { pieces: 2 }), queued('b', 2)]
    expect(ids(queueTurn(queue, 1, { most: 2 }, now).out)).toBe('')
    expect(ids(queueTurn(queue, 0, { most: 2 }, now).out)).toBe('a')
  })

  it('loses nothing, keeps the order, and never goes over the ceiling', () => {
    const anyQueue = fc.array(
      fc.record({
        pieces: fc.integer({ min: 1, max: 4 }),
        since: fc.integer({ min: 0, max: 90 }),
        endsAt: fc.option(fc.integer({ min: 0, max: 200 })),
      }),
      { maxLength: 12 },
    )
    const counts = { open: fc.integer({ min: 0, max: 6 }), most: fc.integer({ min: 1, max: 6 }) }
    fc.assert(
      fc.property(anyQueue, fc.record(counts), (list, { open, most }) => {
        const queue = list.map((q, i) =>
          queued(`q${i}`, q.since, { pieces: q.pieces, endsAt: q.endsAt as Instant | null }),
        )
        const { out, tooLate, waits } = queueTurn(queue, open, { most }, now)
        expect(out.length + tooLate.length + waits.length).toBe(queue.length)
        expect(new Set([...out, ...tooLate, ...waits]).size).toBe(queue.length)
        const sum = out.reduce((n, q) => n + q.pieces, 0)
        const isAlone = open === 0 && out.length === 1
        if (out.length > 0 && !isAlone) expect(open + sum).toBeLessThanOrEqual(most)
        for (const q of out) expect(waits.every((w) => w.since >= q.since)).toBe(true)
        expect(tooLate.every((q) => q.endsAt !== null && q.endsAt <= now)).toBe(true)
      }),
    )
  })
})
