import type { Instant, LessonId } from '#core/base'

/** A class with where its lessons lie, as the desk has it. */
export interface LaidClass {
  readonly calendar: {
    readonly meetings: readonly { readonly startsAt: Instant; readonly endsAt: Instant }[]
  }
  readonly extents: ReadonlyMap<LessonId, { readonly first: number; readonly last: number }>
}

/**
 * Lessons that classes are at, the nearest first: under way or next, then those just before and after. Each once.
 * @param count at most so many.
 */
export function lessonsNear(classes: readonly LaidClass[], now: Instant, count: number): readonly LessonId[] {
  const far = new Map<LessonId, number>()
  for (const { calendar, extents } of classes)
    for (const [id, { first, last }] of extents) {
      const [from, until] = [calendar.meetings[first]?.startsAt, calendar.meetings[last]?.endsAt]
      if (from === undefined || until === undefined) continue
      // what is over counts as farther than what comes as soon
      const distance = until < now ? 2 * (now - until) : Math.max(0, from - now)
      far.set(id, Math.min(distance, far.get(id) ?? Infinity))
    }
  return [...far]
    .sort((a, b) => a[1] - b[1])
    .slice(0, count)
    .map(([id]) => id)
}
