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

/** The same, but behind another one: so a lesson becomes the last of a unit. */
export function movedBehind(
  lessons: readonly PlanLesson[],
  ids: ReadonlySet<LessonId>,
  behind: LessonId,
): readonly PlanLesson[] {
  const rest = lessons.filter((l) => !ids.has(l.id))
  const at = rest.findIndex((l) => l.id === behind)
  const unitId = rest[at]?.unitId
  if (at < 0 || !unitId) return lessons
  const joined = lessons.filter((l) => ids.has(l.id)).map((l) => ({ ...l, unitId }))
  return [...rest.slice(0, at + 1), ...joined, ...rest.slice(at + 1)]
}

/**
 * Lessons with some of them one place earlier or later; at either end they stay. At the edge of a unit the step leads
 * into the next one: as its first, or its last.
 */
export function steppedBy(
  lessons: readonly PlanLesson[],
  ids: ReadonlySet<LessonId>,
  by: 1 | -1,
): readonly PlanLesson[] {
  const moving = lessons.filter((l) => ids.has(l.id))
  const edge = by < 0 ? moving[0] : moving.at(-1)
  const beside = edge && lessons[lessons.indexOf(edge) + by]
  if (!beside) return lessons
  const isInto = beside.unitId !== edge.unitId
  // into another unit it passes nobody
  const isBefore = isInto ? by > 0 : by < 0
  return isBefore ? movedBefore(lessons, ids, beside.id) : movedBehind(lessons, ids, beside.id)
}
