/** Plans, a plan laid onto one class's meetings, what happened, and what a change would move. */
export { act, checkOutcome } from './act'
export type { ClassOnPlan, PacingState } from './act'
export { checkPlan } from './checkPlan'
export { inverseOf, same, singlesOf } from './command'
export { commandsBetween } from './consequence'
export type { BadDay, Consequence } from './consequence'
export { courseOf } from './course'
export type { Course } from './course'
export { baselineOf, driftOn, driftSeries } from './drift'
export type { DriftPoint } from './drift'
export { fit, withCuts } from './fit'
export type { Cut, Fit } from './fit'
export { PRIOR_MEETINGS, forecaster, paceOf } from './forecast'
export type { Band, Forecast, Forecaster, Pace } from './forecast'
export { datesOf, extentsOf, layOut } from './layOut'
export { blank, mergeTable, planCommand } from './planEdit'
export type { LessonRow, TableMerge } from './planEdit'
export { PRICES } from './price'
export { recordLesson } from './record'
export type { Happened } from './record'
export type { PacingRefusal } from './refusals'
export { ripple } from './ripple'
export type { ClassSide, Ripple, RippleWay } from './ripple'
export { amountOf, fixedOf, movedTo, sequenceOf, typicalAmount } from './sequence'
export { reachesOf } from './stretches'
export type { Reach } from './stretches'
export { AS_PLANNED, LEFT_BECAUSE, LENGTH_UNITS, LESSON_KINDS, WAYS, WEIGHTS } from './types'
export type {
  Baseline,
  ClassCommand,
  ClassPacing,
  FixedDate,
  HeldSlot,
  Layout,
  LayoutFinding,
  Left,
  LessonKind,
  LessonLength,
  LessonRecord,
  NotPlaced,
  NoteCommand,
  PacingCommand,
  PatternCommand,
  Placement,
  Plan,
  PlanCommand,
  PlanLesson,
  PlanPart,
  PlanUnit,
  Purpose,
  SingleCommand,
  Slot,
  Through,
  Way,
  Weight,
  YearCommand,
} from './types'
export { weekCells } from './weekCells'
export type { Stretch, WeekCell } from './weekCells'
