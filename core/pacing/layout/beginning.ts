import type { IsoDay, LessonId } from '../../base'
import type { Meeting } from '../../calendar'
import type { ClassPacing, Left, Plan, Through } from '../plan'
import { capacityOf } from '../track'

/** From where a plan is laid in a class that does not begin it with the year. */
export interface Beginning {
  /** The first day that is the plan's. */
  readonly fromOn: IsoDay
  /** The lesson that comes next; null: the plan's first. */
  readonly nextId: LessonId | null
}

/**
 * A class's pacing for a plan that begins on a day: meetings before it are not the plan's, and lessons before the next
 * one are not the class's. Neither counts as behind, or as not recorded.
 */
export function beginningOn(
  pacing: ClassPacing,
  { lessons }: Pick<Plan, 'lessons'>,
  meetings: readonly Meeting[],
  { fromOn, nextId }: Beginning,
): ClassPacing {
  const last = meetings.filter((m) => m.on < fromOn).at(-1)
  const begins: Through | null = last
    ? { on: last.on, startMinute: last.startMinute, halves: capacityOf(last) }
    : null
  const next = Math.max(
    0,
    lessons.findIndex((l) => l.id === nextId),
  )
  const left: Record<LessonId, Left> = { ...pacing.left }
  for (const { id } of lessons.slice(0, next)) left[id] = 'not-ours'
  return { ...pacing, begins, left }
}
