import type { ClassId, PlanId } from '../../base'
import type { PatternRow, SchoolYear } from '../../calendar'
import type { ClassPacing, Plan } from '../plan'

/** What planning acts change: a school year, plans, and the classes laid out on them. */
export interface PacingState {
  /** Null: the plans that it is about belong to no year yet, since no class follows them. */
  readonly year: SchoolYear | null
  readonly plans: ReadonlyMap<PlanId, Plan>
  readonly classes: ReadonlyMap<ClassId, ClassOnPlan>
}
export interface ClassOnPlan {
  readonly planId: PlanId | null
  readonly pattern: readonly PatternRow[]
  readonly pacing: ClassPacing
}

/** The year in which an act takes place. */
export function yearOf({ year }: PacingState): SchoolYear {
  if (!year) throw new Error('act in a year that was not loaded')
  return year
}
