/** Plans, a plan laid onto one class's meetings, and planning acts with their inverse. */
export { MOST_LESSONS, checkPlan } from './checkPlan'
export { applyCommand, inverseOf } from './command'
export { DEFAULT_LAYOUT, capacityOf, extentsOf, halvesOf, layOut } from './layOut'
export type { LayoutSettings } from './layOut'
export type { PacingRefusal } from './refusals'
export { LESSON_KINDS, WEIGHTS } from './types'
export type { ClassPacing, Layout, LessonKind, LessonLength, NotPlaced, PacingCommand, Placement, Plan, PlanLesson, PlanUnit, Slot, Weight } from './types'
