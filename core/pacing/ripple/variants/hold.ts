import type { IsoDay, LessonId } from '../../../base'
import { endOf } from '../../layout'
import type { Item } from '../../layout'
import type { FixedDate, Left } from '../../plan'
import { beginsAt, firstNotBefore, firstOnOrAfter, meetingOf, positionAfter, positionAt } from '../../track'
import type { Position, Track } from '../../track'
import type { Bitten, Side, WayOut } from './wayOut'

/** Where a lesson lay before the change: on which day, and the place of that in the meetings after it. */
interface Old {
  readonly on: IsoDay
  readonly at: Position
}

/**
 * Every later lesson keeps its date, or the first meeting after it; what has no room left before the next one
 * is shortened, and without any room marked as not covered. Where time was freed, the first lesson that would
 * come earlier may not start before its old day, and those behind it stay with it.
 */
export const hold: WayOut = (bitten) => {
  const { after, first, changed } = bitten
  const { track, items, limits } = after.course
  const olds = items.map((item) => (item.lesson.id === changed ? null : oldStart(item.lesson.id, bitten)))
  const isPlaced = new Set(after.layout.placements.flatMap((p) => (p.placed ? [p.lessonId] : [])))
  const lengths = { ...after.pacing.lengths }
  const left: Record<LessonId, Left> = { ...after.pacing.left }
  const fixed: Record<LessonId, FixedDate | 'free'> = { ...after.pacing.fixed }
  let cursor: Position = after.course.from
  for (const [i, item] of items.entries()) {
    const old = i < first ? null : (olds[i] ?? null)
    const { id } = item.lesson
    const limit = limits[i]?.at ?? track.end
    if (old === null) {
      // before the change bites all is as it was; the changed lesson, or one that had no place, lies as it can
      const end = endOf(track, item, item, cursor)
      if (end >= 0 && end <= limit && (i >= first || isPlaced.has(id))) cursor = end
      continue
    }
    const pin = pinOf(track, item, old, cursor)
    if (pin !== null) fixed[id] = pin
    const earliest = pin === null ? item.earliest : positionAt(track, firstOnOrAfter(track, old.on))
    const held: Item = { ...item, earliest: Math.max(item.earliest, earliest) }
    // the next lesson's place, or a fixed date that comes before it now
    const next = Math.min(olds.slice(i + 1).find((o) => o !== null)?.at ?? track.end, limit)
    const taken = item.fixed === null ? roomFor(track, held, cursor, next) : item.amount
    if (taken === 0) left[id] = 'not-covered'
    else if (taken < item.amount) lengths[id] = taken
    const end = taken === 0 ? -1 : endOf(track, held, { unit: item.unit, amount: taken }, cursor)
    if (end >= 0) cursor = end
  }
  return { ...after.pacing, lengths, left, fixed }
}

/** The date that keeps a lesson on its old day when it would come earlier now; null when it would not. */
function pinOf(track: Track, item: Item, old: Old, cursor: Position): FixedDate | null {
  const natural = beginsAt(track, Math.max(cursor, item.earliest), item.unit, item.waits)
  if (item.fixed?.kind === 'on' || meetingOf(natural) >= meetingOf(old.at)) return null
  const on = track.meetings[meetingOf(old.at)]?.on
  if (on === undefined) return null
  const through = item.fixed?.kind === 'not-after' ? item.fixed.on : null
  if (item.fixed?.kind === 'within') return { ...item.fixed, fromOn: on }
  return through === null ? { kind: 'not-before', on } : { kind: 'within', fromOn: on, throughOn: through }
}

/**
 * As much of a lesson as ends by a place, in its own unit; of minutes at least five; of one that is under way
 * all or nothing.
 */
function roomFor(track: Track, item: Item, from: Position, next: Position): number {
  const isMinutes = item.unit === 'minutes'
  const fits = (amount: number) => {
    const end = endOf(track, item, { unit: item.unit, amount }, from)
    return end >= 0 && end <= next
  }
  if (fits(item.amount)) return item.amount
  if (item.isUnderWay) return 0
  let [least, most] = [0, item.amount]
  while (least < most) {
    const middle = Math.ceil((least + most) / 2)
    if (fits(middle)) least = middle
    else most = middle - 1
  }
  return isMinutes && least < 5 ? 0 : least
}

/** Where a lesson started before the change; null when it had no place. */
function oldStart(lessonId: LessonId, { before, after }: Bitten): Old | null {
  const placement = before.layout.placements.find((p) => p.lessonId === lessonId)
  const slot = placement?.placed ? placement.slots[0] : undefined
  const meeting = slot && before.course.track.meetings[slot.meeting]
  if (!slot || !meeting?.on) return null
  const { track } = after.course
  const now = firstNotBefore(track, meeting.on, meeting.startMinute ?? 0)
  return { on: meeting.on, at: positionAfter(track, now, usedBefore(before, lessonId, slot.meeting)) }
}

/** Half minutes of a meeting that earlier lessons take. */
function usedBefore({ layout, course }: Side, lessonId: LessonId, meeting: number): number {
  let halves = 0
  for (const p of layout.placements) {
    if (p.lessonId === lessonId) break
    if (p.placed) halves += p.slots.find((s) => s.meeting === meeting)?.halves ?? 0
  }
  return Math.round(halves * (course.track.halves[meeting] ?? 0))
}
