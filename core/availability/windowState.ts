import type { Instant, IsoDay } from '../base'
import type { Meeting } from '../calendar'
import type { Window, WorkState } from './types'

/**
 * What a learner may do at `now`, and the next instant at which that changes (null: never). The window's
 * moments are in order.
 */
export function windowState(
  window: Window,
  now: Instant,
): { readonly state: WorkState; readonly changesAt: Instant | null } {
  const { listed, opens, due, closes, putAway } = window
  if (putAway !== null && now >= putAway) return { state: 'put-away', changesAt: null }
  if (listed !== null && now < listed) return { state: 'not-listed', changesAt: listed }
  if (opens !== null && now < opens) return { state: 'coming-up', changesAt: opens }
  if (closes !== null && now >= closes) return { state: 'closed', changesAt: putAway }
  if (due !== null && now >= due) return { state: 'late', changesAt: closes ?? putAway }
  return { state: 'open', changesAt: due ?? closes ?? putAway }
}

export interface WindowSpan {
  readonly meetings: number
  readonly days: number
  readonly tight: boolean
}

/**
 * Meetings and meeting days of a class inside [opens, due), so that one absence is survivable. A window without an
 * opening counts from when work is published (`fromPublishing`).
 * @returns `tight` below `least` meetings (default 2), for windows that have a due date.
 */
export function spanOf(
  window: Window,
  meetings: readonly Meeting[],
  instructionalDays: readonly { readonly on: IsoDay; readonly startsAt: Instant; readonly endsAt: Instant }[],
  least = 2,
): WindowSpan {
  const from = window.opens ?? window.listed ?? Number.NEGATIVE_INFINITY
  const until = window.due ?? window.closes ?? Number.POSITIVE_INFINITY
  const inside = (start: number, end: number) => start < until && end > from
  let count = 0
  for (const m of meetings) if (inside(m.startsAt, m.endsAt)) count++
  let days = 0
  for (const d of instructionalDays) if (inside(d.startsAt, d.endsAt)) days++
  return { meetings: count, days, tight: window.due !== null && count < least }
}
