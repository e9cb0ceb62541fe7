import type { Instant } from '../base'
import type { Window } from './types'

/**
 * A window as it counts for learners who get it at an instant: what has no opening, or had one before, opens then.
 * Counts, cautions and pictures begin there, never at the beginning of the year.
 * @param at when it was published; while it is composed or held, now.
 */
export function fromPublishing(window: Window, at: Instant): Window {
  return {
    ...window,
    listed: notBefore(window.listed, at),
    opens: notBefore(window.opens ?? window.listed, at),
  }
}

function notBefore(moment: Instant | null, at: Instant): Instant {
  return moment === null || moment < at ? at : moment
}
