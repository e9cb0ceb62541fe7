import { ok, refuse } from '../../base'
import type { IsoDay, Result, UnitId } from '../../base'
import { schoolDays } from '../../calendar'
import type { SchoolYear } from '../../calendar'
import type { PacingRefusal } from '../refusals'
import { isLessonLength } from './limits'
import type { FixedDate, LessonLength, Plan, PlanLesson } from './types'

export const MOST_LESSONS = 2000

/**
 * Accepts a plan whose lengths are in order (see `LENGTH_LIMITS`), whose lessons have units, and whose fixed
 * dates do not run against the order of its lessons; or names the first fault.
 */
export function checkPlan(plan: Plan): Result<Plan, PacingRefusal> {
  if (plan.lessons.length === 0) return refuse({ code: 'pacing/empty-plan', field: 'lessons' })
  if (plan.lessons.length > MOST_LESSONS)
    return refuse({
      code: 'pacing/too-many-lessons',
      field: 'lessons',
      count: plan.lessons.length,
      most: MOST_LESSONS,
    })
  const badPart = checkParts(plan)
  if (badPart) return refuse(badPart)
  const units = new Set(plan.units.map((u) => u.id))
  for (const lesson of plan.lessons) {
    const fault = checkLesson(lesson, units)
    if (fault) return refuse(fault)
  }
  const badDate = checkFixed(plan.lessons)
  return badDate ? refuse(badDate) : ok(plan)
}

/** Why one lesson is not accepted, in a plan or as a class's own; null when it is. */
export function checkLesson(lesson: PlanLesson, units: ReadonlySet<UnitId>): PacingRefusal | null {
  const { min, typical, max } = lesson.length
  if (!isLength(lesson.length))
    return { code: 'pacing/bad-length', field: 'length', lesson: nameOf(lesson), min, typical, max }
  return units.has(lesson.unitId)
    ? null
    : { code: 'pacing/unknown-unit', field: 'unitId', lesson: nameOf(lesson) }
}

function nameOf(lesson: PlanLesson): string {
  return lesson.number || lesson.title
}

function isLength({ unit, min, typical, max }: LessonLength): boolean {
  return [min, typical, max].every((n) => isLessonLength(unit, n)) && min <= typical && typical <= max
}

/** Parts lie in different terms, in order, and their units follow each other without mixing. */
function checkParts({ parts, units, lessons }: Plan): PacingRefusal | null {
  for (const [i, part] of parts.entries()) {
    const before = parts[i - 1]
    if (!Number.isInteger(part.term) || part.term < 1 || (before && part.term <= before.term))
      return { code: 'pacing/bad-part', field: 'parts', part: part.title }
  }
  if (parts.length === 0) return null
  const at = new Map(parts.map((p, i) => [p.id, i]))
  const partOf = new Map(units.map((u) => [u.id, u.partId === null ? -1 : (at.get(u.partId) ?? -1)]))
  let reached = 0
  for (const lesson of lessons) {
    const part = partOf.get(lesson.unitId) ?? -1
    if (part < reached) return { code: 'pacing/bad-part', field: 'parts', part: parts[reached]?.title ?? '' }
    reached = part
  }
  return null
}

function startOf(fixed: FixedDate): IsoDay | null {
  return fixed.kind === 'not-after' ? null : fixed.kind === 'within' ? fixed.fromOn : fixed.on
}
function endOf(fixed: FixedDate): IsoDay | null {
  return fixed.kind === 'not-before' ? null : fixed.kind === 'within' ? fixed.throughOn : fixed.on
}

/**
 * The first lesson whose fixed date cannot be met because of one before it in the order; null when there is
 * none.
 */
export function checkFixed(lessons: readonly PlanLesson[]): PacingRefusal | null {
  let latest: { on: IsoDay; lesson: PlanLesson } | null = null
  for (const lesson of lessons) {
    const { fixed } = lesson
    if (!fixed) continue
    const [start, end] = [startOf(fixed), endOf(fixed)]
    if (fixed.kind === 'within' && fixed.throughOn < fixed.fromOn)
      return { code: 'pacing/bad-fixed-date', field: 'fixed', lesson: nameOf(lesson) }
    if (latest && end !== null && end < latest.on)
      return {
        code: 'pacing/fixed-out-of-order',
        field: 'fixed',
        lesson: nameOf(lesson),
        before: nameOf(latest.lesson),
      }
    if (start !== null && (!latest || start > latest.on)) latest = { on: start, lesson }
  }
  return null
}

/** Refused when a fixed date lies outside the year, or on a day on which the school is closed. */
export function checkFixedIn(lesson: PlanLesson, fixed: FixedDate, year: SchoolYear): PacingRefusal | null {
  const days = new Map(schoolDays(year).map((d) => [d.on, d.closedBy]))
  for (const on of [startOf(fixed), endOf(fixed)]) {
    if (on === null || days.get(on) === null) continue
    if (fixed.kind !== 'on' && year.firstOn <= on && on <= year.lastOn) continue
    return {
      code: 'pacing/fixed-on-closure',
      field: 'fixed',
      lesson: nameOf(lesson),
      on,
      closedBy: days.get(on) ?? null,
    }
  }
  return null
}
