import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { instant, isoDay } from '../base'
import type { Instant } from '../base'
import { aYear, ids, onDays } from '../../tests/support/made'
import { meetings } from '../calendar'
import { fromPublishing } from './published'
import { completed } from './resolveWindow'
import { NO_WINDOW } from './types'
import type { Window } from './types'
import { spanOf, windowState } from './windowState'

const year = aYear({ lastOn: isoDay('2026-12-18') })
const calendar = meetings(year, ids.class('c'), onDays(1, 3, 5), [])
const HOUR = 3_600_000
const first = calendar.meetings[0]!.startsAt
const moment = fc.integer({ min: -200, max: 1500 }).map((h) => instant(first + h * HOUR))
const maybe = fc.option(moment, { freq: 2 })

/** Asks the window itself, hour by hour, whether somebody who got it at `at` could work then. */
function slowly(window: Window, at: Instant): number {
  const canWork = (hour: number) => {
    const now = (at + hour * HOUR) as Instant
    return windowState(window, now).state === 'open'
  }
  let count = 0
  for (const m of calendar.meetings) {
    // hours of which some part lies in the meeting
    const from = Math.max(0, Math.floor((m.startsAt - at) / HOUR))
    const hours = [from, from + 1].filter((h) => at + h * HOUR < m.endsAt && at + (h + 1) * HOUR > m.startsAt)
    if (hours.some(canWork)) count++
  }
  return count
}

describe('a window from when it was published', () => {
  it('opens then where it has no opening, or had one before', () => {
    const at = calendar.meetings[9]!.startsAt
    const early = calendar.meetings[2]!.startsAt
    const later = calendar.meetings[12]!.startsAt
    expect(fromPublishing(NO_WINDOW, at)).toEqual({ ...NO_WINDOW, listed: at, opens: at })
    expect(fromPublishing({ ...NO_WINDOW, opens: early }, at).opens).toBe(at)
    expect(fromPublishing({ ...NO_WINDOW, opens: later }, at)).toMatchObject({ listed: at, opens: later })
    expect(fromPublishing({ ...NO_WINDOW, listed: later }, at).opens).toBe(later)
  })

  it('counts four meetings and not twenty-four for what is due in ten days', () => {
    const at = instant(calendar.meetings[20]!.startsAt - HOUR)
    const due = calendar.meetings[23]!.endsAt
    const window = { ...NO_WINDOW, due, closes: due }
    expect(spanOf(window, calendar.meetings, []).meetings).toBe(24)
    expect(spanOf(fromPublishing(window, at), calendar.meetings, []).meetings).toBe(4)
  })

  it('agrees with asking hour by hour, whatever is absent', () => {
    fc.assert(
      fc.property(maybe, maybe, maybe, moment, (a, b, c, at) => {
        const [opens, due, closes] = inOrder(a, b, c)
        const window = completed({ ...NO_WINDOW, opens, due, closes })
        const counted = spanOf(fromPublishing(window, at), calendar.meetings, [])
        expect(counted.meetings).toBe(slowly(window, at))
      }),
      { numRuns: 2000 },
    )
  })
})

/** Moments put in order; those that are absent stay so. */
function inOrder(
  ...moments: readonly (Instant | null)[]
): readonly [Instant | null, Instant | null, Instant | null] {
  const known = moments.filter((m) => m !== null).sort((x, y) => x - y)
  // an opening and an end at one instant are no window
  const spread = known.map((m, i) => (m + i * HOUR) as Instant)
  let next = 0
  const [opens = null, due = null, closes = null] = moments.map((m) =>
    m === null ? null : (spread[next++] ?? null),
  )
  return [opens, due, closes]
}
