import { AS_PLANNED } from '../plan'
import { layCourse, limitsOf, reachesOf } from '../layout'
import type { Course } from '../layout'
import type { Choice } from './choices'
import type { Shortfall } from './types'

/** The stretches of a course that do not fit at the least of everything. */
export function shortfalls(course: Course, choices: readonly (readonly Choice[])[]): readonly Shortfall[] {
  const { track, from } = course
  const items = course.items.flatMap((item, i) => {
    const amount = choices[i]?.[choices[i].length - 1]?.amount ?? item.amount
    return amount === 0 ? [] : [{ ...item, amount }]
  })
  const sequence = items.map((i) => i.lesson)
  const least: Course = { track, from, items, sequence, limits: limitsOf(track, items, from) }
  const without = new Set(
    layCourse(least, AS_PLANNED).placements.flatMap((p) => (p.placed ? [] : [p.lessonId])),
  )
  return reachesOf(least).flatMap(({ lessonIds, upTo, slackHalves }) =>
    lessonIds.some((id) => without.has(id))
      ? [{ lessonIds, upTo, halves: Math.max(1, Math.ceil(-slackHalves)) }]
      : [],
  )
}
