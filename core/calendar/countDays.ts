import { schoolDays } from './dayLetters'
import type { SchoolYear } from './types'

/** School days in a stretch of a year, and how many of each letter. */
export interface DayCount {
  readonly days: number
  readonly byLabel: Readonly<Record<string, number>>
}

/**
 * Counts the days on which there is school, in the whole year and in each of its terms. Closed days do not
 * count.
 */
export function countDays(year: SchoolYear): {
  readonly all: DayCount
  readonly terms: readonly (DayCount & { readonly name: string })[]
} {
  const open = schoolDays(year).filter((d) => d.closedBy === null)
  const labels = year.rotation?.labels ?? []
  const count = (days: typeof open): DayCount => ({
    days: days.length,
    byLabel: Object.fromEntries(labels.map((l) => [l, days.filter((d) => d.label === l).length])),
  })
  return {
    all: count(open),
    terms: year.terms.map(({ name, firstOn, lastOn }) => ({
      name,
      ...count(open.filter((d) => firstOn <= d.on && d.on <= lastOn)),
    })),
  }
}
