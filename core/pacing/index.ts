/** Plans, a plan laid onto one class's meetings, what happened, and what a change would move. */
export {
  AS_PLANNED,
  LEFT_BECAUSE,
  LENGTH_LIMITS,
  LENGTH_UNITS,
  LESSON_KINDS,
  WEIGHTS,
  amountOf,
  checkPlan,
  fixedOf,
  isLessonAmount,
  meetingsPlanned,
  movedTo,
  sequenceOf,
  typicalAmount,
} from './plan'
export type {
  Baseline,
  ClassPacing,
  FixedDate,
  HeldSlot,
  Left,
  LessonKind,
  LessonLength,
  LessonRecord,
  Plan,
  PlanLesson,
  PlanPart,
  PlanUnit,
  Seen,
  Through,
  Weight,
} from './plan'
export {
  beginningOn,
  courseOf,
  datesOf,
  extentsOf,
  layOut,
  lessonAt,
  reachesOf,
  weekCells,
  withoutPlace,
} from './layout'
export type {
  Beginning,
  Course,
  Layout,
  LayoutFinding,
  NotPlaced,
  Placement,
  Reach,
  Stretch,
  WeekCell,
} from './layout'
export { PRICES, fit, withCuts } from './fit'
export type { Cut, Fit, Shortfall } from './fit'
export { baselineOf, driftOn, driftSeries, recordLesson, takeBack, takenBackWith } from './record'
export { heldIn, withHeld } from './track'
export type { DriftPoint, Happened } from './record'
export {
  WAYS,
  act,
  yearOf,
  blank,
  classesNotedIn,
  checkOutcome,
  inverseOf,
  mergeTable,
  namedIn,
  planCommand,
  singlesOf,
  withFreeNoteIds,
} from './command'
export type {
  ClassCommand,
  ClassOnPlan,
  LessonRow,
  NamedIds,
  NoteCommand,
  PacingCommand,
  PacingState,
  PatternCommand,
  PlanCommand,
  Purpose,
  SingleCommand,
  TableMerge,
  Way,
  YearCommand,
} from './command'
export { commandsBetween, ripple } from './ripple'
export type { BadDay, ClassSide, Consequence, Ripple, RippleWay } from './ripple'
export { PRIOR_MEETINGS, forecaster, paceOf } from './forecast'
export type { Band, Forecast, Forecaster, Pace } from './forecast'
export type { PacingRefusal } from './refusals'
