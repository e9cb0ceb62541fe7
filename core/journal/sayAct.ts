import { asRosterStep } from '../audience'
import { asFilingStep } from '../filing'
import type { PacingCommand } from '../pacing'
import { asSeriesStep } from '../series'
import { asStandingStep } from '../standing'
import { asLayerStep } from '../versions'
import { asStep } from '../work'
import type { JournalCommand, SaidAct } from './types'

type Kind = JournalCommand['kind']
type ActOf = { readonly [K in Kind]: Extract<JournalCommand, { kind: K }> }

const asItIs = (command: PacingCommand): SaidAct => command

const SAY: { readonly [K in Kind]: (command: ActOf[K]) => SaidAct } = {
  length: asItIs,
  meeting: asItIs,
  lesson: asItIs,
  class: asItIs,
  pattern: asItIs,
  note: asItIs,
  year: asItIs,
  plan: asItIs,
  together: asItIs,
  work: asStep,
  works: asStep,
  series: asSeriesStep,
  standing: asStandingStep,
  filing: asFilingStep,
  layer: asLayerStep,
  roster: asRosterStep,
}

/** An act as it is shown: planning acts as they are, of the others no more than a line of words needs. */
export function sayAct(command: JournalCommand): SaidAct {
  return say(command.kind, command)
}

function say<K extends Kind>(kind: K, command: ActOf[K]): SaidAct {
  return SAY[kind](command)
}
