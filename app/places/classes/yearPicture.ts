import { daysThrough } from '#core/base'
import type { IsoDay } from '#core/base'
import { schoolDays } from '#core/calendar'
import type { SchoolYear } from '#core/calendar'
import { sayMonth } from '~/shared/words/times'

/** One day as the picture of a year shows it. */
export interface PicturedDay {
  readonly on: IsoDay
  /** An instructional weekday, closed or not. */
  readonly isSchoolDay: boolean
  readonly label: string | null
  readonly closedBy: string | null
  /** The term that begins with it. */
  readonly termStarts: string | null
}
export interface PicturedMonth {
  readonly key: string
  readonly name: string
  /** Days of the month before the year begins, so that the same dates stand under each other. */
  readonly lead: number
  readonly days: readonly PicturedDay[]
}

/** The days of a year by month, closed days and letters as the year says. */
export function picturedMonths(year: SchoolYear): PicturedMonth[] {
  const known = new Map(schoolDays(year).map((d) => [d.on, d]))
  const starts = new Map(year.terms.map((t) => [t.firstOn, t.name]))
  const months = new Map<string, PicturedDay[]>()
  for (const on of daysThrough(year.firstOn, year.lastOn)) {
    const school = known.get(on)
    const key = on.slice(0, 7)
    const days = months.get(key) ?? []
    days.push({
      on,
      isSchoolDay: school !== undefined,
      label: school?.label ?? null,
      closedBy: school?.closedBy ?? null,
      termStarts: starts.get(on) ?? null,
    })
    months.set(key, days)
  }
  return [...months].map(([key, days]) => {
    const [first] = days as [PicturedDay]
    return { key, name: sayMonth(first.on), lead: Number(first.on.slice(8)) - 1, days }
  })
}
