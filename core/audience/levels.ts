import type { Reached, TargetLevel } from './types'

const STRENGTH: Record<TargetLevel, number> = { class: 1, group: 2, learner: 3 }

/** What a learner's own target says goes before what their groups' say, and that before their classes'. */
export const STRONGEST_FIRST = (Object.keys(STRENGTH) as TargetLevel[]).sort(byStrength)

/** Orders levels by which wins, the strongest first; 0 for the same. */
export function byStrength(a: TargetLevel, b: TargetLevel): number {
  return STRENGTH[b] - STRENGTH[a]
}

/** What one target gives a learner. */
export interface GivenBy<T> {
  readonly sourceId: string
  readonly value: T
}

/** All that targets of one level give a learner; the kinder of them is to be had. */
export interface GivenAtLevel<T> {
  readonly level: TargetLevel
  readonly given: readonly [GivenBy<T>, ...GivenBy<T>[]]
}

/**
 * What the targets of a learner give them: those of the strongest level that gives anything at all. Null: none does.
 * @param given what a target gives; undefined: it leaves things as they are.
 */
export function strongest<T>(
  of: Reached,
  given: (level: TargetLevel, sourceId: string) => T | undefined,
): GivenAtLevel<T> | null {
  for (const level of STRONGEST_FIRST) {
    const [first, ...others] = sourcesAt(level, of).flatMap((sourceId): readonly GivenBy<T>[] => {
      const value = given(level, sourceId)
      return value === undefined ? [] : [{ sourceId, value }]
    })
    if (first) return { level, given: [first, ...others] }
  }
  return null
}

/** The targets of a level through which a learner is reached. */
function sourcesAt(level: TargetLevel, { learnerId, groupIds, classIds }: Reached): readonly string[] {
  const sources: Record<TargetLevel, readonly string[]> = {
    learner: [learnerId],
    group: groupIds,
    class: classIds,
  }
  return sources[level]
}
