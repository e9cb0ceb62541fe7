import type { Meeting } from './types'

type Span = Pick<Meeting, 'startsAt' | 'endsAt'>

/**
 * How many meetings of a class lie at the same time as some of another one; both in order of time. What ends when the
 * other begins does not clash.
 */
export function clashes(meetings: readonly Span[], others: readonly Span[]): number {
  let count = 0
  let at = 0
  for (const { startsAt, endsAt } of meetings) {
    while (at < others.length && (others[at] as Span).endsAt <= startsAt) at++
    const other = others[at]
    if (other && other.startsAt < endsAt) count++
  }
  return count
}
