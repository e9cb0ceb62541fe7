import type { ClassId, PlanId, YearId } from '../../base'
import { singlesOf } from './command'
import type { PacingCommand } from './types'

/** What an act names. */
export interface NamedIds {
  readonly classIds: ReadonlySet<ClassId>
  readonly yearIds: ReadonlySet<YearId>
  readonly planIds: ReadonlySet<PlanId>
}

/** The ids an act names. */
export function namedIn(command: PacingCommand): NamedIds {
  const named = { classIds: new Set<ClassId>(), yearIds: new Set<YearId>(), planIds: new Set<PlanId>() }
  for (const one of singlesOf(command)) {
    if (one.kind === 'note' || one.kind === 'year') named.yearIds.add(one.yearId)
    else if (one.kind === 'plan') named.planIds.add(one.planId)
    else named.classIds.add(one.classId)
  }
  return named
}

/** Classes that the act's notes are newly about. */
export function classesNotedIn(command: PacingCommand): readonly ClassId[] {
  return singlesOf(command).flatMap((one) => {
    if (one.kind === 'note') return one.to?.classIds ?? []
    if (one.kind !== 'year') return []
    const before = new Set(one.from.notes.flatMap((n) => n.classIds))
    return one.to.notes.flatMap((n) => n.classIds).filter((id) => !before.has(id))
  })
}
