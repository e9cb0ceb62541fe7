import { inverseOf } from '#core/pacing'
import type { PacingCommand } from '#core/pacing'
import type { StepIn, Stepped, SteppingOf } from '../ground/stepping'
import { perform } from './perform'
import { loadPlanning } from './planningState'

async function stepPlanning({ tx, deps, actor, way }: StepIn, done: PacingCommand): Promise<Stepped> {
  const command = way === 'undo' ? inverseOf(done) : done
  const planning = await loadPlanning(tx, actor, command)
  if (!planning.ok) return planning
  return perform(tx, planning.value, command, { isNew: false, now: deps.clock.now() })
}

/** Planning acts are taken back by their inverse; refused when somebody changed the same thing since. */
export const planningStepping: SteppingOf<PacingCommand> = {
  length: stepPlanning,
  meeting: stepPlanning,
  lesson: stepPlanning,
  class: stepPlanning,
  pattern: stepPlanning,
  note: stepPlanning,
  year: stepPlanning,
  plan: stepPlanning,
  together: stepPlanning,
}
