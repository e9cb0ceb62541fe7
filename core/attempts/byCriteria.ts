/** What a person looks at, and how much of it can be earned. */
export interface Looked {
  readonly name: string
  readonly points: number
}

/** What was given for each criterion, in their order; null: nothing yet. */
export type Levels = readonly (number | null)[]

/** Whether levels are of these criteria, each in steps of a half and no more than there is. */
export function areLevelsOf(criteria: readonly Looked[], levels: Levels): boolean {
  if (levels.length !== criteria.length) return false
  return criteria.every(({ points }, i) => {
    const level = levels[i]
    return level == null || (level >= 0 && level <= points && Number.isInteger(level * 2))
  })
}

/**
 * Points of an answer by its criteria, as a share of what the answer can earn, in steps of a half; null while a
 * criterion is open.
 */
export function pointsByCriteria(criteria: readonly Looked[], levels: Levels, most: number): number | null {
  const of = criteria.reduce((sum, c) => sum + c.points, 0)
  if (of === 0 || levels.length !== criteria.length || levels.some((level) => level === null)) return null
  const given = levels.reduce<number>((sum, level) => sum + (level ?? 0), 0)
  return Math.round((given / of) * most * 2) / 2
}
