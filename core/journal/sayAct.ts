import { asFilingStep } from '../filing'
import { asSeriesStep } from '../series'
import { asStandingStep } from '../standing'
import { asStep } from '../work'
import type { JournalCommand, SaidAct } from './types'

/** An act as it is shown: planning acts as they are, of the others no more than a line of words needs. */
export function sayAct(command: JournalCommand): SaidAct {
  switch (command.kind) {
    case 'work':
    case 'works':
      return asStep(command)
    case 'series':
      return asSeriesStep(command)
    case 'standing':
      return asStandingStep(command)
    case 'filing':
      return asFilingStep(command)
    default:
      return command
  }
}
