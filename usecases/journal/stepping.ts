import type { JournalCommand } from '#core/journal'
import { filingStepping } from '../filing/filingStepping'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { layerStepping } from '../library/layerStepping'
import { planningStepping } from '../pacing/planningStepping'
import { seriesStepping } from '../series/seriesStepping'
import { standingStepping } from '../standing/standingStepping'
import { rosterStepping } from '../teaching/rosterStepping'
import { workStepping } from '../work/workStepping'

/** Each topic says how its acts are taken back; a kind of act that no topic takes back does not compile. */
const STEPPING: SteppingOf<JournalCommand> = {
  ...planningStepping,
  ...workStepping,
  ...seriesStepping,
  ...standingStepping,
  ...filingStepping,
  ...layerStepping,
  ...rosterStepping,
}

type Kind = JournalCommand['kind']
type OfKind = { readonly [K in Kind]: Extract<JournalCommand, { kind: K }> }

/** Takes an act back, or does it again, as its topic does. */
export function stepAct<K extends Kind>(at: StepIn, kind: K, command: OfKind[K]): Promise<Stepped> {
  const step: { readonly [Of in Kind]: (at: StepIn, command: OfKind[Of]) => Promise<Stepped> } = STEPPING
  return step[kind](at, command)
}
