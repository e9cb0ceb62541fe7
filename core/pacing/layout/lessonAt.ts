import type { Instant, LessonId } from '../../base'
import { extentsOf } from './layOut'
import type { Layout } from './types'

/** The lesson at which a class is: the last that has begun by `now`; null before the first. */
export function lessonAt(
  layout: Layout,
  meetings: readonly { readonly startsAt: Instant }[],
  now: Instant,
): LessonId | null {
  const begun = [...extentsOf(layout)].filter(
    ([, { first }]) => (meetings[first]?.startsAt ?? Infinity) <= now,
  )
  const [last] = begun.sort(([, a], [, b]) => b.first - a.first || b.last - a.last)
  return last?.[0] ?? null
}
