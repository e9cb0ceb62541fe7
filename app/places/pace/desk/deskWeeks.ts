import { addDays, mondayOf } from '#core/base'
import type { IsoDay } from '#core/base'
import { schoolDays } from '#core/calendar'
import type { SchoolYear } from '#core/calendar'
import { sayDate, sayDay } from '~/shared/words/times'

/** One row of the desk. */
export interface DeskWeek {
  readonly mondayOn: IsoDay
  readonly closures: readonly string[]
  readonly closedAll: boolean
  readonly termStarts: string | null
  readonly isCurrent: boolean
}

/** The weeks of a year with what the whole school's notes say about them. */
export function deskWeeks(year: SchoolYear, today: IsoDay | null): DeskWeek[] {
  const days = schoolDays(year)
  const open = new Set(days.filter((d) => d.closedBy === null).map((d) => mondayOf(d.on)))
  const weeks: DeskWeek[] = []
  for (let monday = mondayOf(year.firstOn); monday <= year.lastOn; monday = addDays(monday, 7)) {
    const sunday = addDays(monday, 6)
    const notes = year.notes.filter(
      (n) => n.classIds.length === 0 && n.fromOn <= sunday && n.throughOn >= monday,
    )
    weeks.push({
      mondayOn: monday,
      closures: notes.map((n) => `${n.name}, ${spanInWeek(n.fromOn, n.throughOn, monday, sunday)}`),
      closedAll: !open.has(monday),
      termStarts: year.terms.find((t) => t.firstOn >= monday && t.firstOn <= sunday)?.name ?? null,
      isCurrent: today !== null && monday <= today && today <= sunday,
    })
  }
  return weeks
}

function spanInWeek(fromOn: IsoDay, throughOn: IsoDay, monday: IsoDay, sunday: IsoDay): string {
  if (fromOn === throughOn) return sayDay(fromOn)
  if (fromOn < monday || throughOn > sunday) return `${sayDate(fromOn)} to ${sayDate(throughOn)}`
  return `${sayDay(fromOn)} to ${sayDay(throughOn)}`
}
