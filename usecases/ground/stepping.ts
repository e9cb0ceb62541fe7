import type { ClassId, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import type { AudienceRefusal } from '#core/audience'
import type { AvailabilityRefusal } from '#core/availability'
import type { CalendarRefusal, SchoolYear } from '#core/calendar'
import type { JournalCommand } from '#core/journal'
import type { PacingRefusal, Plan } from '#core/pacing'
import type { WorkRefusal } from '#core/work'
import type { Connection } from '#db/repositories'
import type { Deps } from './deps'

export type StepRefusal =
  AccessRefusal | AudienceRefusal | AvailabilityRefusal | CalendarRefusal | PacingRefusal | WorkRefusal

/** In what an act is taken back, or done again. */
export interface StepIn {
  readonly tx: Connection
  readonly deps: Deps
  readonly actor: Teacher
  readonly way: 'undo' | 'redo'
}

/** What a planning act changed besides the work of its classes; `stuck`: titles of work that could not follow. */
export interface PlanningChanged {
  readonly moved: number
  readonly stuck: readonly string[]
  /** Null: as it was. */
  readonly year: SchoolYear | null
  /** Those that changed. */
  readonly plans: readonly Plan[]
}

/** The classes that an act touched; of a planning act what else it changed. */
export interface Touched {
  readonly classIds: readonly ClassId[]
  readonly planning: PlanningChanged | null
}

export type Stepped = Result<Touched, StepRefusal>

/** How a topic takes its acts back, or does them again: one way for each kind of act that it writes down. */
export type SteppingOf<Command extends JournalCommand> = {
  readonly [Kind in Command['kind']]: (
    at: StepIn,
    command: Extract<Command, { kind: Kind }>,
  ) => Promise<Stepped>
}

/** What an act touched that is no planning act. */
export function touching(classIds: readonly ClassId[]): Touched {
  return { classIds: [...new Set(classIds)], planning: null }
}
