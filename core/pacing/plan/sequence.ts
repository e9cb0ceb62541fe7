import type { LessonId } from '../../base'
import type { ClassPacing } from './classPacing'
import type { FixedDate, Plan, PlanLesson } from './types'

/**
 * The lessons of one class in its own order, the class's own lessons included. Lessons that came to the plan
 * after the class
 * chose its order stand behind the lesson they follow in the plan.
 */
export function sequenceOf(
  plan: Pick<Plan, 'lessons'>,
  pacing: Pick<ClassPacing, 'order' | 'added'>,
): readonly PlanLesson[] {
  const added = Object.values<PlanLesson>(pacing.added)
  if (pacing.order === null && added.length === 0) return plan.lessons
  const known = new Map([...plan.lessons, ...added].map((l) => [l.id, l]))
  const order = (pacing.order ?? plan.lessons.map((l) => l.id)).filter((id) => known.has(id))
  const placed = new Set(order)
  let before: LessonId | null = null
  for (const { id } of [...plan.lessons, ...added]) {
    if (!placed.has(id)) {
      order.splice(before === null ? 0 : order.indexOf(before) + 1, 0, id)
      placed.add(id)
    }
    before = id
  }
  return order.map((id) => known.get(id) as PlanLesson)
}

/** The order after moving a lesson to stand before another, or at the end (null). */
export function movedTo(order: readonly LessonId[], lessonId: LessonId, before: LessonId | null): LessonId[] {
  const rest = order.filter((id) => id !== lessonId)
  const at = before === null ? rest.length : rest.indexOf(before)
  return [...rest.slice(0, at), lessonId, ...rest.slice(at)]
}

/** The fixed date that holds for a lesson in a class: its own, else the plan's. */
export function fixedOf(lesson: PlanLesson, pacing: Pick<ClassPacing, 'fixed'>): FixedDate | null {
  const own = pacing.fixed[lesson.id]
  return own === 'free' ? null : (own ?? lesson.fixed)
}

/** A lesson's length for one class in its own unit: half meetings, or minutes. */
export function amountOf(lesson: PlanLesson, lengths: ClassPacing['lengths']): number {
  return lengths[lesson.id] ?? typicalAmount(lesson)
}

/** The plan's typical length in the lesson's own unit: half meetings, or minutes. */
export function typicalAmount(lesson: PlanLesson): number {
  return lesson.length.unit === 'minutes' ? lesson.length.typical : Math.round(lesson.length.typical * 2)
}

/** Meetings that a plan's lessons typically take; lessons counted in minutes are not among them. */
export function meetingsPlanned(lessons: readonly PlanLesson[]): number {
  return lessons.reduce((n, l) => n + (l.length.unit === 'meetings' ? l.length.typical : 0), 0)
}

/** The least length in the lesson's own unit. */
export function leastAmount(lesson: PlanLesson): number {
  return lesson.length.unit === 'minutes' ? lesson.length.min : Math.round(lesson.length.min * 2)
}
