import { describe, expect, it } from 'vitest'
import { instant, isoDay, seededRandom } from '../../base'
import { someDated, someRooms } from '../../../tests/support/dated'
import { courseOf, layOut } from '../layout'
import { AS_PLANNED } from '../plan'
import type { ClassPacing } from '../plan'
import { forecaster } from './forecast'

const SEED = 20_261_126
const CASES = 1500
const EVEN = { lessons: 0, usedRatio: 1, spreadRatio: 0, lossRatio: 0, lost: 0, held: 0 }

describe('the forecast at even pace', () => {
  it(`is the layout, lesson by lesson, on ${CASES} cases from seed ${SEED}`, () => {
    const random = seededRandom(SEED)
    const upTo = (n: number) => Math.floor(random() * n)
    const worth = { all: 0, some: 0 }
    for (let n = 0; n < CASES; n++) {
      const rooms = someRooms(upTo)
      const terms =
        upTo(3) === 0 ? [{ name: 'Two', firstOn: isoDay('2026-09-03'), lastOn: isoDay('2026-09-30') }] : []
      const lessons = someDated(upTo)
      const plan =
        terms.length > 0
          ? {
              lessons,
              parts: [{ id: 'p', title: 'Part', term: 1 }],
              units: [{ id: lessons[0]?.unitId as never, number: '1', title: 'Unit', partId: 'p' }],
            }
          : { lessons }
      const pacing: ClassPacing = {
        ...AS_PLANNED,
        through:
          upTo(3) === 0 ? { on: rooms[0]?.on ?? isoDay('2026-09-01'), startMinute: 540, halves: 1 } : null,
      }
      const course = courseOf(plan, rooms, pacing, { terms })
      const simulation = forecaster({
        course,
        pace: EVEN,
        now: instant(0),
        starts: rooms.map(() => instant(1)),
        ends: lessons.map((l) => l.id),
        seed: 1,
      })
      simulation.run(3)
      const { ends, year } = simulation.result()
      const layout = layOut(plan, rooms, { pacing, terms })
      const wanted = layout.placements.map((p) =>
        p.placed ? rooms[p.slots.at(-1)?.meeting ?? -1]?.on : null,
      )
      const said = JSON.stringify({ n, lessons: lessons.map((l) => [l.length, l.fixed]), rooms, pacing })
      for (const q of [0, 1, 2])
        expect(
          ends.map((e) => e.on[q]),
          said,
        ).toEqual(wanted)
      if (!wanted.includes(null))
        expect(year, said).toEqual({ chanceRatio: 1, finish: year.finish.map(() => wanted.at(-1)) })
      worth[wanted.includes(null) ? 'some' : 'all']++
    }
    expect(worth.all).toBeGreaterThan(300)
    expect(worth.some).toBeGreaterThan(300)
  })
})
