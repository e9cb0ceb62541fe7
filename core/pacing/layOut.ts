import type { LessonId } from '../base'
import type { Meeting } from '../calendar'
import type { Layout, Placement, Plan, PlanLesson, Slot } from './types'

export interface LayoutSettings {
  /** A short meeting counts as a whole one from this share of its usual minutes, otherwise as a half. */
  readonly wholeFromRatio: number
}

export const DEFAULT_LAYOUT: LayoutSettings = { wholeFromRatio: 0.6 }

/** What a meeting can hold, in halves: 2, or 1 below the chosen share of its usual minutes. */
export function capacityOf(meeting: Pick<Meeting, 'minutes' | 'usualMinutes'>, settings: LayoutSettings = DEFAULT_LAYOUT): number {
  return meeting.minutes >= meeting.usualMinutes * settings.wholeFromRatio ? 2 : 1
}

/** A lesson's length for one class in half meetings: the class's own, or the plan's typical length. */
export function halvesOf(lesson: PlanLesson, lengths: Readonly<Record<LessonId, number>>): number {
  return lengths[lesson.id] ?? Math.round(lesson.length.typical * 2)
}

/**
 * Lays a plan onto meetings: in order, each lesson takes the next free capacity, across meetings where needed.
 * Once a lesson does not fit, it and all later ones are reported with the reason, so that the order is kept.
 * @example A 1.5-meeting lesson and a 1-meeting lesson: the second takes the free half and a half of the next meeting.
 */
export function layOut(plan: Pick<Plan, 'lessons'>, meetings: readonly Pick<Meeting, 'minutes' | 'usualMinutes'>[], lengths: Readonly<Record<LessonId, number>> = {}, settings: LayoutSettings = DEFAULT_LAYOUT): Layout {
  const capacities = meetings.map(m => capacityOf(m, settings))
  let free = 0
  for (const c of capacities) free += c
  const placements: Placement[] = []
  let blockedBy: LessonId | null = null
  let meeting = 0
  let taken = 0
  for (const lesson of plan.lessons) {
    const need = halvesOf(lesson, lengths)
    if (blockedBy !== null) {
      placements.push({ lessonId: lesson.id, placed: false, halves: need, because: { why: 'after-one-that-does-not-fit', lessonId: blockedBy } })
      continue
    }
    if (need > free) {
      blockedBy = lesson.id
      placements.push({ lessonId: lesson.id, placed: false, halves: need, because: { why: 'year-full', needHalves: need, freeHalves: free } })
      continue
    }
    const slots: Slot[] = []
    for (let left = need; left > 0;) {
      const here = Math.min(left, (capacities[meeting] as number) - taken)
      if (here > 0) slots.push({ meeting, halves: here })
      left -= here
      taken += here
      if (taken === capacities[meeting]) {
        meeting++
        taken = 0
      }
    }
    free -= need
    placements.push({ lessonId: lesson.id, placed: true, halves: need, slots })
  }
  return { placements, capacities, slackHalves: free }
}

/** First and last meeting index of every placed lesson; lessons that do not fit are absent. */
export function extentsOf(layout: Layout): ReadonlyMap<LessonId, { readonly first: number, readonly last: number }> {
  const extents = new Map<LessonId, { first: number, last: number }>()
  for (const p of layout.placements) {
    if (!p.placed) continue
    const first = p.slots[0]
    const last = p.slots[p.slots.length - 1]
    if (first && last) extents.set(p.lessonId, { first: first.meeting, last: last.meeting })
  }
  return extents
}
