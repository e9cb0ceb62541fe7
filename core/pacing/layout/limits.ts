import type { LessonId } from '../../base'
import { latestFrom, place, startAt } from '../track'
import type { Need, Position, Track } from '../track'
import type { Item } from './item'

/**
 * The place by which an item must have ended so that later fixed lessons keep theirs, and the lesson that
 * sets it (null: the item's own end).
 */
export interface Limit {
  readonly at: Position
  readonly by: LessonId | null
}

/**
 * A limit for each item, from the last one back. A fixed start binds all before it; a last day as well, as
 * late as it can start and still leave later fixed lessons their room. One that has no room even alone binds
 * nobody.
 */
export function limitsOf(track: Track, items: readonly Item[], from: Position): readonly Limit[] {
  const limits = new Array<Limit>(items.length)
  let next: Limit = { at: track.end, by: null }
  for (let i = items.length - 1; i >= 0; i--) {
    const item = items[i] as Item
    const limit = next.at <= item.endsBy ? next : { at: item.endsBy, by: null }
    limits[i] = limit
    const latest = latestStart(track, item, item.amount, from, limit.at)
    if (latest >= 0 && latest <= next.at) next = { at: latest, by: item.lesson.id }
  }
  return limits
}

/**
 * The latest place at which what stands before an item must have ended, when the item has a fixed start or a
 * last day and itself ends by `by`; -1 when it binds nobody.
 */
export function latestStart(
  track: Track,
  item: Item,
  amount: number,
  from: Position,
  by: Position,
): Position {
  if (item.startsAt >= 0) return item.startsBy
  if (!item.hasLastDay) return -1
  const need: Need = { unit: item.unit, amount }
  return latestFrom(track, from, by, (start) => {
    const end = endOf(track, item, need, start)
    return end >= 0 && end <= by
  })
}

/** Where a need of an item ends when what stands before it has ended at `cursor`; -1 past the last meeting. */
export function endOf(track: Track, item: Item, need: Need, cursor: Position): Position {
  return place(track, need, startAt(track, Math.max(cursor, item.earliest), need.unit, item.waits))
}
