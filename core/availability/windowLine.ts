import type { Instant } from '../base'
import type { Window } from './types'

/** Real time from one instant to a later one, as a line is drawn over it. */
export interface Scale {
  readonly from: Instant
  readonly until: Instant
}

/** A stretch of a line, as shares of its length from 0 to 1. */
export interface Stretch {
  readonly from: number
  readonly until: number
}

/**
 * A window as a line over real time, in shares of its length; what lies outside the scale is cut off. `seen`: from
 * listed until it is put away; `open`: work can come in before it is due; `late`: work still comes in.
 */
export interface WindowLine {
  readonly seen: Stretch | null
  readonly open: Stretch | null
  readonly late: Stretch | null
  /** Where it is put away; null when that is never, or outside the scale. */
  readonly end: number | null
}

/** How far along a scale an instant lies; below 0 or above 1 outside it. */
export function shareOf(at: Instant, { from, until }: Scale): number {
  return (at - from) / (until - from)
}

/** The line of a window. Absent moments mean what they mean everywhere: from the beginning, or never. */
export function windowLine({ listed, opens, due, closes, putAway }: Window, scale: Scale): WindowLine {
  const over = due ?? closes ?? putAway
  const begins = opens ?? listed
  return {
    seen: stretch(listed, putAway, scale),
    open: stretch(begins, over, scale),
    late: due !== null && closes !== due ? stretch(due, closes ?? putAway, scale) : null,
    end: putAway !== null && isInside(shareOf(putAway, scale)) ? shareOf(putAway, scale) : null,
  }
}

/** The part of a stretch that lies on the scale; null when none does. Null ends are as far away as can be. */
function stretch(from: Instant | null, until: Instant | null, scale: Scale): Stretch | null {
  const start = from === null ? 0 : Math.max(0, shareOf(from, scale))
  const end = until === null ? 1 : Math.min(1, shareOf(until, scale))
  return start < end ? { from: start, until: end } : null
}

function isInside(share: number): boolean {
  return share >= 0 && share <= 1
}

/** A scale that holds all moments of windows and an instant, with some room at both ends; at least a week. */
export function scaleFor(windows: readonly Window[], around: Instant): Scale {
  const moments = [around, ...windows.flatMap((w) => [w.listed, w.opens, w.due, w.closes, w.putAway])]
  const known = moments.flatMap((at) => at ?? [])
  const first = Math.min(...known)
  const last = Math.max(...known, first + WEEK)
  const room = (last - first) * 0.04
  return { from: (first - room) as Instant, until: (last + room) as Instant }
}

const WEEK = 7 * 24 * 3600 * 1000
