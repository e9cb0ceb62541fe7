import type { RosterCommand, RosterStep } from '../audience'
import type { FilingCommand, FilingStep } from '../filing'
import type { PacingCommand } from '../pacing'
import type { SeriesCommand, SeriesStep } from '../series'
import type { StandingCommand, StandingStep } from '../standing'
import type { LayerCommand, LayerStep } from '../versions'
import type { WorkCommand, WorksCommand, WorkStep } from '../work'

/** Every act that is written down, so that it can be taken back. */
export type JournalCommand =
  | PacingCommand
  | WorkCommand
  | WorksCommand
  | SeriesCommand
  | StandingCommand
  | FilingCommand
  | LayerCommand
  | RosterCommand

/** An act as it is shown to people: what of it can be said in a line. */
export type SaidAct =
  PacingCommand | WorkStep | SeriesStep | StandingStep | FilingStep | LayerStep | RosterStep
