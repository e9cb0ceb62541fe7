import { instant } from '#core/base'
import type { Instant } from '#core/base'
import type { Clock } from '#ports'

/** The machine's own clock. */
export function systemClock(): Clock {
  return { now: () => instant(Date.now()) }
}

/**
 * A clock that starts at a chosen instant and runs on from there, so that a demo always opens on the same
 * day.
 */
export function clockFrom(start: Instant, monotonicMs: () => number = () => performance.now()): Clock {
  const began = monotonicMs()
  return { now: () => instant(Math.floor(start + monotonicMs() - began)) }
}

/** A clock that stands where it is put; for tests and for building the demo. */
export function clockAt(start: Instant): Clock & { readonly set: (at: Instant) => void } {
  let at = start
  return {
    now: () => at,
    set: (next) => {
      at = next
    },
  }
}
