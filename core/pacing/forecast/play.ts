import { latestStart } from '../layout'
import type { Course, Item } from '../layout'
import { meetingOf, place, startAt } from '../track'
import type { Need, Position, Track } from '../track'

/** The track of one run: meetings that are lost in it have no room. */
export type RunTrack = Track & { readonly sizes: number[] }

/** Hears what becomes of each item of a run. */
export interface Listener {
  /**
   * @param reached where everything before the item has ended, taught late where need be
   * @param ended where the item then ends; -1 past the year
   * @param laid where it ends in the layout of this run; -1 without a place
   */
  readonly item: (index: number, reached: Position, ended: Position, laid: Position) => void
}

/** What one run has drawn. */
export interface Drawn {
  readonly track: Track
  /** What each item takes, in its own unit. */
  readonly amounts: Float64Array
  /** The place by which each item has to end, so that later dates are kept. */
  readonly limits: Float64Array
  /** What is left of an item's amount when everything before it has ended there; null: all of it. */
  readonly leftOf: ((index: number, reached: Position) => number) | null
}

/**
 * Plays a course once. As laying out has it, a lesson without room before a date has no place; beside that
 * goes a second account in which such a lesson is taught late and pushes what follows, for whoever wants to
 * know when all would be done.
 * @returns where everything has ended, taught late where need be; -1 past the year.
 */
export function play(
  { items, from }: Pick<Course, 'items' | 'from'>,
  { track, amounts, limits, leftOf }: Drawn,
  listener: Listener,
): Position {
  let laid = from
  let late = from
  let blockedUntil = -1
  const need: { unit: Need['unit']; amount: number } = { unit: 'meetings', amount: 0 }
  for (let i = 0; i < items.length; i++) {
    const item = items[i] as Item
    need.unit = item.unit
    need.amount = leftOf !== null && item.lesson.kind === 'buffer' ? leftOf(i, late) : (amounts[i] as number)
    const limit = limits[i] as number
    const isOne = laid === late && blockedUntil < 0
    const end = blockedUntil >= 0 && limit <= blockedUntil ? -1 : ended(track, item, need, laid)
    const hasPlace = end >= 0 && end <= limit
    const lateEnd = late < 0 ? -1 : isOne ? end : ended(track, item, need, late)
    listener.item(i, late, lateEnd, hasPlace ? end : -1)
    if (hasPlace) {
      laid = end
      blockedUntil = -1
    } else if (blockedUntil < 0 || limit > blockedUntil) blockedUntil = limit
    late = lateEnd
  }
  return late
}

function ended(track: Track, item: Item, need: Need, cursor: Position): Position {
  if (need.amount <= 0) return cursor
  const from = cursor < item.earliest ? item.earliest : cursor
  return place(track, need, item.waits ? startAt(track, from, need.unit, true) : from)
}

/** The limits of a run, whose amounts and meetings are its own; the course's when nothing has a last day. */
export function limitsIn(
  { items, from }: Pick<Course, 'items' | 'from'>,
  track: Track,
  amounts: Float64Array,
  into: Float64Array,
): void {
  let next = track.end
  for (let i = items.length - 1; i >= 0; i--) {
    const item = items[i] as Item
    into[i] = Math.min(next, item.endsBy)
    const latest = latestStart(track, item, amounts[i] as number, from, into[i] as number)
    if (latest >= 0 && latest <= next) next = latest
  }
}

/** The meeting that a lesson ending there ended in, or the first one open when nothing was laid yet. */
export function lastMeeting(track: Track, end: Position, open: number): number {
  if (end < 0) return track.sizes.length
  const m = meetingOf(end)
  return Math.max(open, meetingOf(end - 1) < m ? m - 1 : m)
}
