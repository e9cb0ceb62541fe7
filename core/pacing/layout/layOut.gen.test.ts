import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, isoDay } from '../../base'
import { aLesson, aYear, closure, ids, onDays } from '../../../tests/support/made'
import { meetings } from '../../calendar'
import { extentsOf, layOut } from './layOut'

const someMeetings = fc.array(
  fc.record({ minutes: fc.integer({ min: 5, max: 60 }), usualMinutes: fc.constant(60) }),
  { maxLength: 40 },
)
const someLessons = fc
  .array(fc.integer({ min: 1, max: 8 }), { maxLength: 30 })
  .map((list) => list.map((halves, i) => aLesson(`l${i}`, halves / 2)))
const firstHalf = (meeting: number, halvesBefore: number) => meeting * 2 + halvesBefore

describe('laws of laying out', () => {
  it('keeps the order of lessons', () => {
    fc.assert(
      fc.property(someLessons, someMeetings, (lessons, list) => {
        let last = -1
        for (const p of layOut({ lessons }, list).placements) {
          if (!p.placed) continue
          for (const s of p.slots) {
            expect(s.meeting).toBeGreaterThanOrEqual(last)
            last = s.meeting
          }
        }
      }),
    )
  })

  it('never puts more into a meeting than it holds', () => {
    fc.assert(
      fc.property(someLessons, someMeetings, (lessons, list) => {
        const { placements, capacities } = layOut({ lessons }, list)
        const taken = new Array<number>(list.length).fill(0)
        for (const p of placements)
          if (p.placed) for (const s of p.slots) taken[s.meeting] = (taken[s.meeting] ?? 0) + s.halves
        taken.forEach((t, i) => expect(t).toBeLessThanOrEqual(capacities[i] ?? 0))
      }),
    )
  })

  it('places or reports every lesson, in whole', () => {
    fc.assert(
      fc.property(someLessons, someMeetings, (lessons, list) => {
        const { placements, capacities, slackHalves } = layOut({ lessons }, list)
        expect(placements.map((p) => p.lessonId)).toEqual(lessons.map((l) => l.id))
        let used = 0
        for (const p of placements) {
          if (!p.placed) continue
          const sum = p.slots.reduce((n, s) => n + s.halves, 0)
          expect(sum).toBe(p.halves)
          used += sum
        }
        expect(used + slackHalves).toBe(capacities.reduce((a, b) => a + b, 0))
      }),
    )
  })

  it('gives the same for the same', () => {
    fc.assert(
      fc.property(someLessons, someMeetings, (lessons, list) => {
        expect(layOut({ lessons }, list)).toEqual(layOut({ lessons }, list))
      }),
    )
  })

  it('leaves no gap before a placed lesson', () => {
    fc.assert(
      fc.property(someLessons, someMeetings, (lessons, list) => {
        const { placements, capacities } = layOut({ lessons }, list)
        let expected = 0
        for (const p of placements) {
          if (!p.placed) break
          for (const s of p.slots) {
            while (expected < list.length * 2 && expected % 2 >= (capacities[Math.floor(expected / 2)] ?? 0))
              expected++
            expect(firstHalf(s.meeting, expected % 2)).toBe(expected)
            expected += s.halves
          }
        }
      }),
    )
  })

  const pattern = onDays(1, 3, 5)
  const firstDays = (closed: readonly number[], lessons: Parameters<typeof layOut>[0]['lessons']) => {
    const year = aYear({ notes: closed.map((d) => closure(addDays(isoDay('2026-08-31'), d))) })
    const calendar = meetings(year, ids.class('c'), pattern, [])
    return new Map(
      [...extentsOf(layOut({ lessons }, calendar.meetings))].map(([id, e]) => [
        id,
        calendar.meetings[e.first]?.on ?? '',
      ]),
    )
  }

  it('never makes a lesson earlier by adding a closure, nor later by removing one', () => {
    fc.assert(
      fc.property(
        someLessons,
        fc.uniqueArray(fc.integer({ min: 0, max: 80 }), { maxLength: 8 }),
        fc.integer({ min: 0, max: 80 }),
        (lessons, closed, extra) => {
          const before = firstDays(closed, lessons)
          const after = firstDays([...closed, extra], lessons)
          // read backwards it is the law for removing
          for (const [id, on] of after) expect(on >= (before.get(id) ?? '')).toBe(true)
          expect(after.size).toBeLessThanOrEqual(before.size)
        },
      ),
      { numRuns: 60 },
    )
  })
})
