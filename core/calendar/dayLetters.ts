import { dayNumber, dayOfNumber, weekdayOfNumber } from '../base'
import type { IsoDay } from '../base'
import type { SchoolYear } from './types'

/** What the school does on one date of its year. */
export interface SchoolDay {
  readonly on: IsoDay
  /** The rotation letter; null without rotation or on a day without school. */
  readonly label: string | null
  /** Set when a closure of the whole school takes the day. */
  readonly closedBy: string | null
  /** The letter that a closed day uses up, where letters are tied to the date. */
  readonly lostLabel?: string
}

/**
 * The school's own days in order: every date on an instructional weekday, closed or not, with its letter.
 * Letters that advance on instructional days are not used up by a closure; letters tied to the date are.
 * A letter set by hand holds for its day and the count goes on from it.
 */
export function schoolDays(year: SchoolYear): SchoolDay[] {
  const closures = year.notes.filter((n) => n.kind === 'closure' && n.classIds.length === 0)
  const byHand = new Map(year.rotation?.overrides.map((o) => [o.on, o.label]))
  const labels = year.rotation?.labels ?? []
  const days: SchoolDay[] = []
  let turn = 0
  for (let n = dayNumber(year.firstOn), last = dayNumber(year.lastOn); n <= last; n++) {
    if (!year.weekdays.includes(weekdayOfNumber(n))) continue
    const on = dayOfNumber(n)
    const closedBy = closures.find((c) => c.fromOn <= on && on <= c.throughOn)?.name ?? null
    const set = byHand.get(on)
    if (set !== undefined && labels.includes(set)) turn = labels.indexOf(set)
    const usesLetter = labels.length > 0 && (closedBy === null || year.rotation?.advance === 'date')
    const label = usesLetter ? (labels[turn % labels.length] ?? null) : null
    if (closedBy === null || label === null) days.push({ on, closedBy, label })
    else days.push({ on, closedBy, label: null, lostLabel: label })
    if (usesLetter) turn = (turn + 1) % labels.length
  }
  return days
}
