import type { LessonLength, PlanLesson } from './types'

/**
 * How long a lesson may be, in meetings (halves allowed) or in minutes: in plans, in classes and in fits
 * alike.
 */
export const LENGTH_LIMITS = {
  meetings: { least: 0.5, most: 40 },
  minutes: { least: 5, most: 2400 },
} as const satisfies Record<LessonLength['unit'], { readonly least: number; readonly most: number }>

/** True for a length that a lesson counted in this unit may have. */
export function isLessonLength(unit: LessonLength['unit'], length: number): boolean {
  const { least, most } = LENGTH_LIMITS[unit]
  const steps = unit === 'meetings' ? length * 2 : length
  return Number.isInteger(steps) && length >= least && length <= most
}

/** The same for a class's own amount: in halves, or in minutes for a lesson counted so. */
export function isLessonAmount(lesson: Pick<PlanLesson, 'length'>, amount: number): boolean {
  const { unit } = lesson.length
  return isLessonLength(unit, unit === 'meetings' ? amount / 2 : amount)
}
