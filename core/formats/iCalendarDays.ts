import type ICAL from 'ical.js'
import { addDays, instant, parseIsoDay } from '../base'
import type { IsoDay } from '../base'
import { isZone, zoneOf } from '../calendar'
import type { Zone } from '../calendar'

/** Why an event does not close whole days. */
export type NoDays = 'no-date' | 'not-all-day' | 'unknown-zone'

/** Zones by their names, each made once for a whole reading: to make one takes longer than to read an event. */
export interface Zones {
  readonly school: Zone
  /** Null: this machine does not know the name. */
  readonly named: (name: string) => Zone | null
}

/** The zones of a reading, for a school in one of them. */
export function zonesFor(schoolZone: string): Zones {
  const made = new Map<string, Zone | null>()
  const named = (name: string): Zone | null => {
    const ready = made.get(name)
    if (ready !== undefined) return ready
    const zone = isZone(name) ? zoneOf(name) : null
    made.set(name, zone)
    return zone
  }
  return { school: zoneOf(schoolZone), named }
}

/** The days that one event or occurrence closes in the school's zone, or why it closes none. */
export function daysOf(
  component: ICAL.Component,
  start: ICAL.Time,
  end: ICAL.Time,
  zones: Zones,
): Days | NoDays {
  return start.isDate ? allDay(start, end) : wholeDays(start, end, zoneNameOf(component), zones)
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
function wholeDays(start: ICAL.Time, end: ICAL.Time, zoneName: string | null, zones: Zones): Days | NoDays {
  const { school } = zones
  const written = zoneName === null ? null : zones.named(zoneName)
  const local = [start, end].map((time) => {
    const on = parseIsoDay(time.toString().slice(0, 10))
    if (on === null) return 'no-date' as const
    const minuteOfDay = time.hour * 60 + time.minute
    if (written !== null) return school.local(written.at(on, minuteOfDay))
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
