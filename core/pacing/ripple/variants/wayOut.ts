import type { LessonId } from '../../../base'
import type { Course, Layout } from '../../layout'
import type { ClassPacing } from '../../plan'
import type { Position } from '../../track'

/** One class before or after a change. */
export interface Side {
  readonly pacing: ClassPacing
  readonly course: Course
  readonly layout: Layout
}

/** What a way out works on: the class before the change and after it, and where the change bites. */
export interface Bitten {
  readonly before: Side
  readonly after: Side
  /** The lesson that the change itself is about; no way out touches it. */
  readonly changed: LessonId | null
  /** Index in `after.course.items` of the first lesson that is pushed. */
  readonly first: number
  /** Where the stretch in which that lesson lies ends, after the change. */
  readonly to: Position
  /** Index behind the last lesson that has to end by then. */
  readonly behind: number
  /** Slack of that stretch before the change, in halves; never below 0. */
  readonly slackBeforeHalves: number
  /** Halves that the changed lesson takes more than before. */
  readonly extraHalves: number
}

/** A way out of a ripple: the pacing that takes it, starting from the pacing after the change. */
export type WayOut = (bitten: Bitten) => ClassPacing

/** Lessons of the stretch from the first one pushed on. */
export function pushedLessons({ after, first, behind, changed }: Bitten): ReadonlySet<LessonId> {
  return new Set(
    after.course.items
      .slice(first, behind)
      .map((i) => i.lesson.id)
      .filter((id) => id !== changed),
  )
}
