import type { Criterion, Item } from '../library'

/** What a person looks at, and how much of it can be earned. */
export type Looked = Pick<Criterion, 'name' | 'points'>

/** What was given for each criterion, in their order; null: nothing yet. */
export type Levels = readonly (number | null)[]

/** As many keys as there are for levels, 0 to 9. */
const MOST_LEVELS = 10

/**
 * By what an answer is scored: the rubric of its piece, or, where there is none, its points as a whole under an empty
 * name.
 */
export function criteriaFor(item: Item, rubric: readonly Criterion[]): readonly Criterion[] {
  const worth = rubric.filter((c) => c.points > 0)
  if (worth.length > 0) return worth
  return [{ name: '', points: item.points, about: item.kind === 'extended' ? item.guide : '' }]
}

/** Levels one chooses among for a criterion: whole points, or, where there are too many for keys, ten in even steps. */
export function levelsFor({ points }: Pick<Looked, 'points'>): readonly number[] {
  const isFew = points < MOST_LEVELS
  const count = isFew ? Math.floor(points) + 1 : MOST_LEVELS
  const step = isFew ? 1 : points / (MOST_LEVELS - 1)
  const levels = Array.from({ length: count }, (_, i) => inHalves(i * step))
  return levels.includes(points) ? levels : [...levels, points]
}

/** Whether levels are of these criteria: each in steps of a half, or all there is, and no more. */
export function areLevelsOf(criteria: readonly Looked[], levels: Levels): boolean {
  if (levels.length !== criteria.length) return false
  return criteria.every(({ points }, i) => {
    const level = levels[i]
    if (level == null || level === points) return level !== undefined
    return level >= 0 && level <= points && Number.isInteger(level * 2)
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
  return given === of ? most : Math.min(most, inHalves((given / of) * most))
}

function inHalves(n: number): number {
  return Math.round(n * 2) / 2
}
