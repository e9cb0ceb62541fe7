import { same } from '../../base'
import type { LessonId, UnitId } from '../../base'
import { MOST_LESSONS, checkFixed, checkFixedIn, checkLesson, fixedOf, sequenceOf } from '../plan'
import type { LessonRecord, PlanLesson } from '../plan'
import type { PacingRefusal } from '../refusals'
import { yearOf } from './state'
import type { PacingState } from './state'
import { singlesOf } from './command'
import { MOST_NOTES } from './tooManyNotes'
import type { ClassCommand, PacingCommand } from './types'

/**
 * Why a new act is not accepted although it can be done: a lesson of a class's own that a plan could not have, a
 * record of no whole halves, a fixed date on a closed day or outside the year or against the order of its class,
 * more lessons than can be laid out.
 */
export function checkOutcome(state: PacingState, command: PacingCommand): PacingRefusal | null {
  const full = tooMany(state, command)
  if (full) return full
  for (const one of singlesOf(command)) {
    const bad = one.kind === 'lesson' ? checkOfClass(state, one) : null
    if (bad) return bad
    if (one.kind === 'class' && !isOrderOfKnown(state, one))
      return { code: 'pacing/bad-order', field: 'order' }
    if (one.kind !== 'plan' || state.classes.size === 0) continue
    for (const { from, to } of one.lessons) {
      const bad = to?.fixed && !same(from?.fixed, to.fixed) ? checkFixedIn(to, to.fixed, yearOf(state)) : null
      if (bad) return bad
    }
  }
  return null
}

/** More of either than any year has days for, and than can be laid out while somebody waits. */
const MOST_CHANGES = 1000

function tooMany(state: PacingState, command: PacingCommand): PacingRefusal | null {
  const kinds = new Set(singlesOf(command).map((one) => one.kind))
  const isOfYear = kinds.has('note') || kinds.has('year')
  const notes = isOfYear ? yearOf(state).notes.length : 0
  if (notes > MOST_NOTES) return { code: 'pacing/too-many', field: 'notes', count: notes, most: MOST_NOTES }
  if (!kinds.has('meeting')) return null
  const count = Math.max(0, ...[...state.classes.values()].map((c) => c.pacing.changes.length))
  return count > MOST_CHANGES
    ? { code: 'pacing/too-many', field: 'changes', count, most: MOST_CHANGES }
    : null
}

/** An order names lessons of its class, each once. One that is put back may name what has gone since. */
function isOrderOfKnown(state: PacingState, one: Extract<ClassCommand, { readonly kind: 'class' }>): boolean {
  if (one.part !== 'order' || one.to === null) return true
  const of = state.classes.get(one.classId)
  const plan = of?.planId ? state.plans.get(of.planId) : undefined
  const known = new Set(of ? sequenceOf(plan ?? { lessons: [] }, of.pacing).map((l) => l.id) : [])
  return new Set(one.to).size === one.to.length && one.to.every((id) => known.has(id))
}

function checkOfClass(
  state: PacingState,
  one: Extract<ClassCommand, { readonly kind: 'lesson' }>,
): PacingRefusal | null {
  const of = state.classes.get(one.classId)
  const plan = of?.planId ? state.plans.get(of.planId) : undefined
  if (!of || !plan || one.to === null) return null
  const lessons = sequenceOf(plan, of.pacing)
  switch (one.part) {
    case 'left':
      return null
    case 'records':
      return checkRecord(one.to, lessons, one.lessonId)
    case 'added':
      return checkAdded(one.to, one.lessonId, lessons.length, new Set(plan.units.map((u) => u.id)))
    case 'fixed': {
      if (one.to === 'free') return null
      const lesson = lessons.find((l) => l.id === one.lessonId)
      return (
        (lesson && checkFixedIn(lesson, one.to, yearOf(state))) ??
        checkFixed(lessons.map((l) => ({ ...l, fixed: fixedOf(l, of.pacing) })))
      )
    }
  }
}

function checkAdded(
  lesson: PlanLesson,
  lessonId: LessonId,
  count: number,
  units: ReadonlySet<UnitId>,
): PacingRefusal | null {
  if (lesson.id !== lessonId) return { code: 'pacing/unknown-lesson', field: 'lessonId', lessonId: lesson.id }
  if (count > MOST_LESSONS)
    return { code: 'pacing/too-many-lessons', field: 'lessons', count, most: MOST_LESSONS }
  return checkLesson(lesson, units)
}

/** What was held takes part of a meeting, and what is still to come is laid out in whole halves. */
function checkRecord(
  { moreHalves, held }: LessonRecord,
  lessons: readonly PlanLesson[],
  lessonId: LessonId,
): PacingRefusal | null {
  const isWhole = Number.isInteger(moreHalves) && held.every((h) => h.halves > 0 && h.halves <= 2)
  if (isWhole && held.length > 0) return null
  const lesson = lessons.find((l) => l.id === lessonId)
  return { code: 'pacing/bad-record', field: 'lessonId', lesson: lesson?.number || lesson?.title || '' }
}
