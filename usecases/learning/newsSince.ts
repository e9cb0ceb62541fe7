import type { Instant } from '#core/base'

const DAY = 24 * 3600 * 1000
/** What is older is news no longer. */
const NEWS_DAYS = 21

/** From when on notices count as news. */
export function newsSince(now: Instant): Instant {
  return (now - NEWS_DAYS * DAY) as Instant
}
