/** School year, rotation and a class's own meetings; wall time to instants. */
export { checkPattern, checkYear, inOrder } from './checkYear'
export { clashes } from './clashes'
export { countDays } from './countDays'
export type { DayCount } from './countDays'
export { schoolDays } from './dayLetters'
export type { SchoolDay } from './dayLetters'
export { WHOLE_FROM, lossesBetween, meetings } from './meetings'
export type { CalendarRefusal } from './refusals'
export { DAY_NOTE_KINDS, FREE_TIMES } from './types'
export type {
  ClassCalendar,
  DayNote,
  DayNoteKind,
  FreeTime,
  LostMeeting,
  Meeting,
  MeetingChange,
  PatternRow,
  Rotation,
  SchoolYear,
  Term,
} from './types'
export { isZone, zoneOf } from './zone'
export type { Zone } from './zone'
