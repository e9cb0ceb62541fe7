import type { Moment } from '../availability'
import { ok, refuse } from '../base'
import type { LessonId, Result } from '../base'
import type { Plan } from '../pacing'
import { faultInPieces } from '../work'
import type { WorkRefusal } from '../work'
import type { StandingRefusal } from './refusals'
import type { StandingPiece } from './types'

type PlanOf = Pick<Plan, 'units' | 'lessons'>

/**
 * Accepts standing work whose moments hang on lessons of the plan, none of them in another part than its own lesson,
 * so that a part can be laid on its own; else the first fault.
 */
export function checkStanding(
  piece: StandingPiece,
  plan: PlanOf,
): Result<StandingPiece, StandingRefusal | WorkRefusal> {
  const { title } = piece
  const fault = faultInPieces(piece.pieces)
  if (fault) return refuse(fault)
  const home = partOf(piece.lessonId, plan)
  if (home === undefined) return refuse({ code: 'standing/unknown-lesson', field: 'lessonId', title })
  for (const moment of momentsIn(piece)) {
    if (moment.kind !== 'anchor') return refuse({ code: 'standing/no-dates', field: 'window', title })
    const part = partOf(moment.lessonId, plan)
    if (part === undefined) return refuse({ code: 'standing/unknown-lesson', field: 'window', title })
    if (part !== home) {
      const { lessonId } = moment
      return refuse({ code: 'standing/anchor-in-other-part', field: 'window', title, lessonId })
    }
  }
  return ok(piece)
}

/** The part a lesson is in, null where its unit is in none; undefined: it is not in the plan. */
function partOf(lessonId: LessonId, { units, lessons }: PlanOf): string | null | undefined {
  const unitId = lessons.find((l) => l.id === lessonId)?.unitId
  return unitId === undefined ? undefined : (units.find((u) => u.id === unitId)?.partId ?? null)
}

function momentsIn({ window, pieces }: StandingPiece): readonly Moment[] {
  return [window, ...pieces.map((p) => p.window)]
    .flatMap((w) => Object.values(w) as (Moment | null)[])
    .filter((m) => m !== null)
}
