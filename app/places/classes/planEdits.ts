import type { LessonId } from '#core/base'
import type { PlanLesson } from '#core/pacing'

/** Lessons with some of them moved together before another one, or to the end (null); they join its unit. */
export function movedBefore(
  lessons: readonly PlanLesson[],
  ids: ReadonlySet<LessonId>,
  before: LessonId | null,
): readonly PlanLesson[] {
  const moving = lessons.filter((l) => ids.has(l.id))
  const rest = lessons.filter((l) => !ids.has(l.id))
  const at = before === null ? rest.length : rest.findIndex((l) => l.id === before)
  if (at < 0) return lessons
  const unitId = (before === null ? rest[rest.length - 1] : rest[at])?.unitId
  const joined = moving.map((l) => (unitId ? { ...l, unitId } : l))
  return [...rest.slice(0, at), ...joined, ...rest.slice(at)]
}

/** Lessons with some of them one place earlier or later; at either end they stay. */
export function steppedBy(
  lessons: readonly PlanLesson[],
  ids: ReadonlySet<LessonId>,
  by: 1 | -1,
): readonly PlanLesson[] {
  const at = lessons.map((l, i) => (ids.has(l.id) ? i : -1)).filter((i) => i >= 0)
  const [first, last] = [at[0], at[at.length - 1]]
  if (first === undefined || last === undefined) return lessons
  if (by < 0) return first > 0 ? movedBefore(lessons, ids, lessons[first - 1]?.id ?? null) : lessons
  return last < lessons.length - 1 ? movedBefore(lessons, ids, lessons[last + 2]?.id ?? null) : lessons
}
