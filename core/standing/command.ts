import type { PlanId, StandingId } from '../base'
import type { StandingPiece } from './types'

/** A change of a plan's standing work. `from` null: added by it; `to` null: taken out. */
export interface StandingCommand {
  readonly kind: 'standing'
  readonly planId: PlanId
  readonly standingId: StandingId
  readonly from: StandingPiece | null
  readonly to: StandingPiece | null
}

/** The same as it is said. */
export interface StandingStep extends Pick<StandingCommand, 'kind' | 'planId'> {
  readonly what: 'added' | 'changed' | 'taken-out'
  readonly title: string
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asStandingStep({ kind, planId, from, to }: StandingCommand): StandingStep {
  const changed = to === null ? 'taken-out' : 'changed'
  return { kind, planId, what: from === null ? 'added' : changed, title: (to ?? from)?.title ?? '' }
}
