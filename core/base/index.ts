/** The words every topic speaks: days, instants, ids, results, seeded random. */
export type { Brand } from './brand'
export { assertNever } from './assertNever'
export { commonest } from './commonest'
export { groupBy } from './groupBy'
export { asId, isId } from './ids'
export type {
  AssignmentId,
  AttemptId,
  BookId,
  ClassId,
  CommentId,
  FileId,
  GroupId,
  ItemId,
  LessonId,
  PageId,
  PieceId,
  PlanId,
  PresetId,
  SeriesId,
  StandingId,
  ResourceId,
  SchoolId,
  TrailId,
  UnitId,
  UserId,
  YearId,
} from './ids'
export { addMinutes, instant, parseInstant } from './instant'
export type { Instant, Minutes } from './instant'
export {
  WEEKDAYS,
  addDays,
  dayNumber,
  dayOfNumber,
  daysThrough,
  isoDay,
  mondayOf,
  parseIsoDay,
  weekdayOf,
  weekdayOfNumber,
  printInstant,
} from './isoDay'
export type { IsoDay, Weekday } from './isoDay'
export { seedOf, seededRandom, shuffled } from './random'
export type { Random } from './random'
export { mustBeOk, ok, refuse } from './result'
export type { Result } from './result'
export { same } from './same'
export type { ComputeRefusal } from './compute'
export { wholePercent } from './wholePercent'
