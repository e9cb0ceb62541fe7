/** Planning acts, what they do to a state, and their inverse. */
export { act } from './act'
export { yearOf } from './state'
export type { ClassOnPlan, PacingState } from './state'
export { checkOutcome } from './checkOutcome'
export { inverseOf, singlesOf } from './command'
export { withFreeNoteIds } from './freeNoteIds'
export { classesNotedIn, namedIn } from './named'
export type { NamedIds } from './named'
export { blank, mergeTable, planCommand } from './planEdit'
export type { LessonRow, TableMerge } from './planEdit'
export { WAYS } from './types'
export type {
  ClassCommand,
  NoteCommand,
  PacingCommand,
  PatternCommand,
  PlanCommand,
  Purpose,
  SingleCommand,
  Way,
  YearCommand,
} from './types'
