import { addDays, ok, refuse } from '../base'
import type { Instant, Result } from '../base'
import type { Zone } from '../calendar'
import type { AvailabilityRefusal } from './refusals'
import { resolveMoment } from './resolveMoment'
import type { Ground } from './resolveMoment'
import { WINDOW_FIELDS } from './types'
import type { Window, WindowField, WindowSpec } from './types'

/** Moments of a spec that are given, resolved in one class. Absent keys stay absent; null stays null. */
export function resolveGiven(
  spec: Partial<WindowSpec>,
  ground: Ground,
): Result<Partial<Window>, AvailabilityRefusal> {
  const out: Partial<Record<WindowField, Instant | null>> = {}
  for (const field of WINDOW_FIELDS) {
    const moment = spec[field]
    if (moment === undefined) continue
    if (moment === null) {
      out[field] = null
      continue
    }
    const at = resolveMoment(moment, field, ground)
    if (!at.ok) return at
    out[field] = at.value
  }
  return ok(out)
}

/**
 * A whole window in one class, in order, with closes standing at due where it is not given. Refused when
 * moments are out of order.
 */
export function resolveWindow(spec: WindowSpec, ground: Ground): Result<Window, AvailabilityRefusal> {
  const given = resolveGiven(spec, ground)
  if (!given.ok) return given
  return checkOrder(completed(given.value as Window))
}

/** Work without a closing moment closes when it is due; without a due date it stays open. */
export function completed({ listed, opens, due, closes, putAway }: Window): Window {
  return { listed, opens, due, closes: closes ?? due, putAway }
}

/**
 * listed ≤ opens < due ≤ closes ≤ put away, over the moments that are there. Names the first moment that
 * comes too early.
 */
export function checkOrder(window: Window): Result<Window, AvailabilityRefusal> {
  if (isInOrder(window)) return ok(window)
  let before: { field: WindowField; at: Instant } | null = null
  for (const field of WINDOW_FIELDS) {
    const at = window[field]
    if (at === null) continue
    const strictly = before !== null && isStart(before.field) && !isStart(field)
    if (before !== null && (strictly ? at <= before.at : at < before.at))
      return refuse({ code: 'availability/out-of-order', field, before: before.field })
    before = { field, at }
  }
  return ok(window)
}

/** The same for the common case, without names: one comparison a moment, for each learner of each piece. */
export function isInOrder({ listed, opens, due, closes, putAway }: Window): boolean {
  const begins = opens ?? listed ?? Number.NEGATIVE_INFINITY
  const ends = due ?? closes ?? putAway ?? Number.POSITIVE_INFINITY
  return (
    (listed ?? begins) <= begins &&
    begins < ends &&
    (closes ?? ends) >= ends &&
    (putAway ?? Number.POSITIVE_INFINITY) >= (closes ?? ends)
  )
}

function isStart(field: WindowField): boolean {
  return field === 'listed' || field === 'opens'
}

/** Puts due and closing `days` calendar days later, same local time. */
export function withExtraDays(window: Window, days: number, zone: Zone): Window {
  const later = (at: Instant | null) => {
    if (at === null || days === 0) return at
    const { on, minuteOfDay } = zone.local(at)
    return zone.at(addDays(on, days), minuteOfDay)
  }
  return mended({ ...window, due: later(window.due), closes: later(window.closes) })
}

/** After layers are mixed: nobody loses work because one moment was made kinder and its neighbour was not. */
export function mended({ listed, opens, due, closes, putAway }: Window): Window {
  const ends = due === null ? closes : latest(closes, due)
  return {
    listed: listed === null ? null : earliest(listed, opens),
    opens,
    due,
    closes: ends,
    putAway: putAway === null || ends === null ? putAway : latest(putAway, ends),
  }
}

function earliest(a: Instant | null, b: Instant | null): Instant | null {
  return a === null ? b : b === null ? a : a < b ? a : b
}
function latest(a: Instant | null, b: Instant | null): Instant | null {
  return a === null ? b : b === null ? a : a > b ? a : b
}

/** A window that moves under a learner who has begun may only grow: starts no later, ends no earlier. */
export function grownOnly(had: Window, next: Window): Window {
  const start = (a: Instant | null, b: Instant | null) => (a === null || b === null ? null : a < b ? a : b)
  const end = (a: Instant | null, b: Instant | null) => (a === null || b === null ? null : a > b ? a : b)
  return {
    listed: start(had.listed, next.listed),
    opens: start(had.opens, next.opens),
    due: end(had.due, next.due),
    closes: end(had.closes, next.closes),
    putAway: end(had.putAway, next.putAway),
  }
}
