/** A plan, and what one class does differently from it. */
export { checkFixed, checkFixedIn, checkLesson, checkPlan, MOST_LESSONS } from './checkPlan'
export { AS_PLANNED, LEFT_BECAUSE } from './classPacing'
export type { Baseline, ClassPacing, HeldSlot, Left, LessonRecord, Through } from './classPacing'
export { LENGTH_LIMITS, isLessonAmount } from './limits'
export {
  amountOf,
  fixedOf,
  leastAmount,
  meetingsPlanned,
  movedTo,
  sequenceOf,
  typicalAmount,
} from './sequence'
export { LENGTH_UNITS, LESSON_KINDS, WEIGHTS } from './types'
export type {
  FixedDate,
  LessonKind,
  LessonLength,
  Plan,
  PlanLesson,
  PlanPart,
  PlanUnit,
  Weight,
} from './types'
export type { Seen } from './seen'
