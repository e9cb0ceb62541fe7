import { checkFixed, checkFixedIn, fixedOf, sequenceOf } from '../plan'
import type { PacingRefusal } from '../refusals'
import type { PacingState } from './act'
import { same, singlesOf } from './command'
import type { PacingCommand } from './types'

/**
 * Why a new act is not accepted although it can be done: a fixed date on a closed day or outside the year, or
 * against the order of its class.
 */
export function checkOutcome(state: PacingState, command: PacingCommand): PacingRefusal | null {
  const { year } = state
  for (const one of singlesOf(command)) {
    if (one.kind === 'lesson' && one.part === 'fixed' && one.to !== null && one.to !== 'free') {
      const of = state.classes.get(one.classId)
      const plan = of?.planId ? state.plans.get(of.planId) : undefined
      const lessons = of && plan ? sequenceOf(plan, of.pacing) : []
      const lesson = lessons.find((l) => l.id === one.lessonId)
      const bad =
        (lesson && checkFixedIn(lesson, one.to, year)) ??
        checkFixed(lessons.map((l) => ({ ...l, fixed: of ? fixedOf(l, of.pacing) : null })))
      if (bad) return bad
    }
    if (one.kind !== 'plan' || state.classes.size === 0) continue
    for (const { from, to } of one.lessons) {
      const bad = to?.fixed && !same(from?.fixed, to.fixed) ? checkFixedIn(to, to.fixed, year) : null
      if (bad) return bad
    }
  }
  return null
}
