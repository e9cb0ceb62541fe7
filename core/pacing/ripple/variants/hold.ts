import type { LessonId } from '../../../base'
import type { Item } from '../../layout'
import type { Left } from '../../plan'
import { firstNotBefore, halvesBetween, inHalves, place, positionAt } from '../../track'
import type { Position } from '../../track'
import type { Bitten, Side, WayOut } from './wayOut'

/**
 * Every later lesson keeps its date, or the first meeting after it; what has no room left before the next one
 * is shortened, and without
 * any room marked as not covered.
 */
export const hold: WayOut = (bitten) => {
  const { after, first, changed } = bitten
  const { track, items, limits } = after.course
  const targets = items.map((item) => (item.lesson.id === changed ? null : oldStart(item.lesson.id, bitten)))
  const lengths = { ...after.pacing.lengths }
  const left: Record<LessonId, Left> = { ...after.pacing.left }
  let cursor: Position = after.course.from
  for (const [i, item] of items.entries()) {
    const start = Math.max(cursor, i < first ? item.earliest : (targets[i] ?? item.earliest))
    // the next lesson's place, or a fixed date that comes before it now
    const next = Math.min(
      targets.slice(i + 1).find((t) => t !== null) ?? track.end,
      limits[i]?.at ?? track.end,
    )
    const taken =
      i < first || item.lesson.id === changed || item.fixed !== null
        ? item.amount
        : roomFor(item, halvesBetween(track, start, next), inHalves(track, item, start))
    if (taken === 0) left[item.lesson.id] = 'not-covered'
    else if (taken < item.amount) lengths[item.lesson.id] = taken
    if (taken > 0) cursor = Math.max(cursor, place(track, { unit: item.unit, amount: taken }, start))
  }
  return { ...after.pacing, lengths, left }
}

/** As much of a lesson as there is room for, in its own unit. */
function roomFor(item: Item, roomHalves: number, needHalves: number): number {
  if (roomHalves >= needHalves) return item.amount
  if (item.unit === 'meetings') return Math.max(0, Math.floor(roomHalves))
  const minutes = Math.floor((item.amount * roomHalves) / needHalves)
  return minutes >= 5 ? minutes : 0
}

/** Where a lesson started before the change, in the meetings after it; null when it had no place. */
function oldStart(lessonId: LessonId, { before, after }: Bitten): Position | null {
  const slot = before.layout.placements.find((p) => p.lessonId === lessonId)
  const first = slot?.placed ? slot.slots[0] : undefined
  const meeting = first && before.course.track.meetings[first.meeting]
  if (!first || !meeting?.on) return null
  const { track } = after.course
  return positionAt(
    track,
    firstNotBefore(track, meeting.on, meeting.startMinute ?? 0),
    usedBefore(before, lessonId, first.meeting),
  )
}

/** Halves of a meeting that earlier lessons take. */
function usedBefore({ layout }: Side, lessonId: LessonId, meeting: number): number {
  let used = 0
  for (const p of layout.placements) {
    if (p.lessonId === lessonId) break
    if (p.placed) used += p.slots.find((s) => s.meeting === meeting)?.halves ?? 0
  }
  return used
}
