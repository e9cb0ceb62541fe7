import { describe, expect, it } from 'vitest'
import type { Instant, LessonId } from '#core/base'
import { ids } from '../../../tests/support/made'
import { lessonsNear } from './likely'

const HOUR = 3_600_000
const DAY = 24 * HOUR
const meetings = [0, 2, 4, 7, 9, 11].map((day) => ({
  startsAt: (day * DAY) as Instant,
  endsAt: (day * DAY + HOUR) as Instant,
}))
const laid = (extents: Readonly<Record<string, readonly [number, number]>>) => ({
  calendar: { meetings },
  extents: new Map<LessonId, { first: number; last: number }>(
    Object.entries(extents).map(([id, [first, last]]) => [ids.lesson(id), { first, last }]),
  ),
})
const near = (day: number, classes: Parameters<typeof lessonsNear>[0], count = 9) =>
  lessonsNear(classes, (day * DAY) as Instant, count)

describe('lessons that a class is at', () => {
  const one = laid({ a: [0, 1], b: [2, 3], c: [4, 4], d: [5, 5] })

  it('begin with the one under way, then what comes, then what was', () => {
    expect(near(5, [one])).toEqual(['b', 'c', 'a', 'd'])
    // between a and b: b comes in a day, a was over a day ago
    expect(near(3, [one], 2)).toEqual(['b', 'a'])
  })

  it('are those of all classes, each once, where it is nearest', () => {
    const behind = laid({ a: [2, 3], b: [4, 4] })
    expect(near(5, [one, behind], 3)).toEqual(['a', 'b', 'c'])
    expect(near(5, [])).toEqual([])
    expect(near(5, [laid({ gone: [9, 9] })])).toEqual([])
  })
})
