import { assertNever } from '#core/base'
import type { PacingCommand, Plan } from '#core/pacing'
import type { DeskClass } from '#shared/contracts/pacing'
import { sayMeetings } from './numbers'
import { sayDay } from './times'

interface Known { readonly classes: readonly DeskClass[], readonly plans: readonly Plan[] }

/** A planning act in a few words: 'Sci 8 A: W2.3 takes 1½ meetings'. */
export function sayStep(command: PacingCommand, { classes, plans }: Known): string {
  const of = classes.find(c => c.id === command.classId)
  const name = of?.shortName ?? 'class'
  switch (command.kind) {
    case 'length': {
      const lesson = plans.find(p => p.id === of?.planId)?.lessons.find(l => l.id === command.lessonId)
      return `${name}: ${lesson?.number ?? 'lesson'} ${command.to === null ? 'as in the plan' : `takes ${sayMeetings(command.to)}`}`
    }
    case 'meeting': {
      const day = sayDay(command.on)
      if (command.to === null) return `${name}: ${day} given back`
      return command.to.kind === 'cancel' ? `${name}: ${day} lost` : `${name}: ${day}, ${command.to.minutes} min`
    }
    default: return assertNever(command)
  }
}
