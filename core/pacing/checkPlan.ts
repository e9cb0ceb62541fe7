import { ok, refuse } from '../base'
import type { Result } from '../base'
import type { PacingRefusal } from './refusals'
import type { Plan } from './types'

export const MOST_LESSONS = 2000
const MOST_MEETINGS = 40

/** Accepts a plan whose lengths are ordered halves (0.5 ≤ min ≤ typical ≤ max ≤ 40) and whose lessons have units, or names the first fault. */
export function checkPlan(plan: Plan): Result<Plan, PacingRefusal> {
  if (plan.lessons.length === 0) return refuse({ code: 'pacing/empty-plan', field: 'lessons' })
  if (plan.lessons.length > MOST_LESSONS) return refuse({ code: 'pacing/too-many-lessons', field: 'lessons', count: plan.lessons.length, most: MOST_LESSONS })
  const units = new Set(plan.units.map(u => u.id))
  for (const lesson of plan.lessons) {
    const { min, typical, max } = lesson.length
    const halves = [min, typical, max].every(n => Number.isInteger(n * 2) && n >= 0.5 && n <= MOST_MEETINGS)
    if (!halves || min > typical || typical > max) return refuse({ code: 'pacing/bad-length', field: 'length', lesson: lesson.number || lesson.title, min, typical, max })
    if (!units.has(lesson.unitId)) return refuse({ code: 'pacing/unknown-unit', field: 'unitId', lesson: lesson.number || lesson.title })
  }
  return ok(plan)
}
