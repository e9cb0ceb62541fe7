import { addDays, daysThrough, mondayOf } from '#core/base'
import type { IsoDay } from '#core/base'
import { schoolDays } from '#core/calendar'
import type { SchoolYear } from '#core/calendar'

/** One day as the picture of a year shows it. */
export interface PicturedDay {
  readonly on: IsoDay
  readonly label: string | null
  readonly closedBy: string | null
  /** The term that begins with it. */
  readonly termStarts: string | null
}
export interface PicturedWeek {
  readonly mondayOn: IsoDay
  /** A place for each weekday of the school; null before the first day of the year and after its last. */
  readonly days: readonly (PicturedDay | null)[]
}

/** The days of a year by week, closed days and letters as the year says; days that are never school stand nowhere. */
export function picturedWeeks(year: SchoolYear): PicturedWeek[] {
  const known = new Map(schoolDays(year).map((d) => [d.on, d]))
  const starts = new Map(year.terms.map((t) => [t.firstOn, t.name]))
  const mondays = daysThrough(mondayOf(year.firstOn), year.lastOn).filter((on) => mondayOf(on) === on)
  return mondays.map((mondayOn) => ({
    mondayOn,
    days: year.weekdays.map((weekday) => {
      const on = addDays(mondayOn, weekday - 1)
      const school = known.get(on)
      if (!school) return null
      return {
        on,
        label: school.label ?? null,
        closedBy: school.closedBy ?? null,
        termStarts: starts.get(on) ?? null,
      }
    }),
  }))
}

/** The day that a key leads to: `by` days on, and further in the same direction until one stands in the picture. */
export function dayFrom(weeks: readonly PicturedWeek[], on: IsoDay, by: number): IsoDay {
  const days = weeks.flatMap((w) => w.days).flatMap((d) => d?.on ?? [])
  const wanted = addDays(on, by)
  const found = by > 0 ? days.find((d) => d >= wanted) : days.findLast((d) => d <= wanted)
  return found ?? (by > 0 ? days.at(-1) : days[0]) ?? on
}
