import type ICAL from 'ical.js'
import { addDays, instant, parseIsoDay } from '../base'
import type { IsoDay } from '../base'
import { isZone, zoneOf } from '../calendar'

/** Why an event does not close whole days. */
export type NoDays = 'no-date' | 'not-all-day' | 'unknown-zone'

/** The days that one event or occurrence closes in the school's zone, or why it closes none. */
export function daysOf(
  component: ICAL.Component,
  start: ICAL.Time,
  end: ICAL.Time,
  schoolZone: string,
): Days | NoDays {
  return start.isDate ? allDay(start, end) : wholeDays(start, end, zoneNameOf(component), schoolZone)
}

export interface Days {
  readonly fromOn: IsoDay
  readonly throughOn: IsoDay
}

function allDay(start: ICAL.Time, end: ICAL.Time): Days | 'no-date' {
  const [fromOn, endOn] = [parseIsoDay(start.toString()), parseIsoDay(end.toString().slice(0, 10))]
  if (fromOn === null || endOn === null) return 'no-date'
  const last = addDays(endOn, -1)
  return { fromOn, throughOn: last < fromOn ? fromOn : last }
}

/** The zone as it is written; without a description of it in the file it would otherwise be lost. */
function zoneNameOf(component: ICAL.Component): string | null {
  const name = component.getFirstProperty('dtstart')?.getParameter('tzid')
  return typeof name === 'string' ? name : null
}

/** Local midnight to local midnight of the school, in whatever zone it is written. */
function wholeDays(
  start: ICAL.Time,
  end: ICAL.Time,
  zoneName: string | null,
  schoolZone: string,
): Days | NoDays {
  const school = zoneOf(schoolZone)
  const local = [start, end].map((time) => {
    const on = parseIsoDay(time.toString().slice(0, 10))
    if (on === null) return 'no-date' as const
    const minuteOfDay = time.hour * 60 + time.minute
    if (zoneName !== null && isZone(zoneName)) return school.local(zoneOf(zoneName).at(on, minuteOfDay))
    // UTC, or a zone that the file itself describes
    if (time.zone.tzid !== 'floating') return school.local(instant(time.toUnixTime() * 1000))
    return zoneName === null ? { on, minuteOfDay } : ('unknown-zone' as const)
  })
  const [from, to] = local
  if (from === undefined || typeof from === 'string') return from ?? 'no-date'
  if (to === undefined || typeof to === 'string') return to ?? 'no-date'
  if (from.minuteOfDay !== 0 || to.minuteOfDay !== 0 || to.on <= from.on) return 'not-all-day'
  return { fromOn: from.on, throughOn: addDays(to.on, -1) }
}
