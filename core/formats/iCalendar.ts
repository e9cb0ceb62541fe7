import ICAL from 'ical.js'
import { addDays, instant, ok, parseIsoDay, refuse } from '../base'
import type { IsoDay, Result } from '../base'
import { isZone, zoneOf } from '../calendar'
import type { FormatRefusal } from './refusals'

export interface FoundClosure {
  readonly name: string
  readonly fromOn: IsoDay
  readonly throughOn: IsoDay
}
export const SKIPPED_BECAUSE = [
  'not-all-day',
  'outside-year',
  'no-date',
  'repeats-too-often',
  'cancelled',
  'unknown-zone',
] as const
export interface SkippedEvent {
  readonly name: string
  readonly because: (typeof SKIPPED_BECAUSE)[number]
}
export interface ClosureReading {
  readonly closures: readonly FoundClosure[]
  readonly skipped: readonly SkippedEvent[]
}

export const MOST_ICS_BYTES = 1_000_000
const MOST_REPEATS = 400

interface YearSpan {
  readonly firstOn: IsoDay
  readonly lastOn: IsoDay
  readonly zone: string
}
interface Reading extends YearSpan {
  readonly closures: FoundClosure[]
  readonly skipped: SkippedEvent[]
}

/**
 * Reads the events of an iCalendar file (RFC 5545) that close whole days of the year: all-day events of any
 * length, and events with clock times
 * that run from one local midnight of the school to another, whatever zone they are written in. Repeated
 * events are unfolded, with their
 * exceptions. Other events are listed as skipped, with the reason. Refused when it is no calendar, holds no
 * closure, or is over 1 MB.
 */
export function parseClosures(text: string, year: YearSpan): Result<ClosureReading, FormatRefusal> {
  if (text.length > MOST_ICS_BYTES)
    return refuse({ code: 'formats/too-large', field: 'text', most: MOST_ICS_BYTES })
  if (!/BEGIN:VCALENDAR/i.test(text.slice(0, 2000)))
    return refuse({ code: 'formats/not-a-calendar', field: 'text' })
  let events: ICAL.Component[]
  try {
    const parsed = ICAL.parse(text)
    const root = new ICAL.Component(Array.isArray(parsed[0]) ? parsed[0] : parsed)
    events = root.getAllSubcomponents('vevent')
  } catch {
    return refuse({ code: 'formats/not-a-calendar', field: 'text' })
  }
  const reading: Reading = { ...year, closures: [], skipped: [] }
  const exceptions = events.filter((e) => e.hasProperty('recurrence-id'))
  const masters = new Set(events.filter((e) => !e.hasProperty('recurrence-id')).map(uidOf))
  for (const component of events) {
    // a changed occurrence belongs to its series; alone it is an event like any other
    if (component.hasProperty('recurrence-id') && masters.has(uidOf(component))) continue
    readEvent(
      component,
      exceptions.filter((e) => uidOf(e) === uidOf(component)),
      reading,
    )
  }
  const { closures, skipped } = reading
  if (closures.length === 0)
    return refuse({ code: 'formats/no-closures', field: 'text', events: events.length })
  closures.sort((a, b) => (a.fromOn < b.fromOn ? -1 : a.fromOn > b.fromOn ? 1 : 0))
  return ok({ closures, skipped })
}

function uidOf(component: ICAL.Component): string {
  return String(component.getFirstPropertyValue('uid') ?? '')
}

function nameOf(component: ICAL.Component): string {
  return (
    String(component.getFirstPropertyValue('summary') ?? '')
      .trim()
      .slice(0, 80) || 'Closed'
  )
}

function isCancelled(component: ICAL.Component): boolean {
  return String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED'
}

function readEvent(component: ICAL.Component, exceptions: readonly ICAL.Component[], reading: Reading): void {
  const name = nameOf(component)
  const skip = (because: SkippedEvent['because']) => void reading.skipped.push({ name, because })
  try {
    if (isCancelled(component)) return skip('cancelled')
    const event = new ICAL.Event(component)
    if (!component.hasProperty('dtstart')) return skip('no-date')
    if (!event.isRecurring()) {
      const fault = keep(name, component, event.startDate, event.endDate, reading)
      return fault ? skip(fault) : undefined
    }
    for (const e of exceptions) event.relateException(e)
    readSeries(event, name, reading, skip)
  } catch {
    skip('no-date')
  }
}

function readSeries(
  event: ICAL.Event,
  name: string,
  reading: Reading,
  skip: (because: SkippedEvent['because']) => void,
): void {
  const each = event.iterator()
  let [found, fault]: [number, SkippedEvent['because']] = [0, 'outside-year']
  for (let i = 0; i < MOST_REPEATS; i++) {
    // null once the series has ended, whatever the package's types say
    const next = each.next() as ICAL.Time | null
    if (next === null || next.toString().slice(0, 10) > reading.lastOn)
      return found === 0 ? skip(fault) : undefined
    const { item, startDate, endDate } = event.getOccurrenceDetails(next)
    if (isCancelled(item.component)) continue
    const bad = keep(
      item.component === event.component ? name : nameOf(item.component),
      item.component,
      startDate,
      endDate,
      reading,
    )
    if (bad) fault = bad
    else found++
  }
  skip('repeats-too-often')
}

/** Keeps the days that an occurrence closes; says why not. */
function keep(
  name: string,
  component: ICAL.Component,
  start: ICAL.Time,
  end: ICAL.Time,
  reading: Reading,
): SkippedEvent['because'] | null {
  const days = start.isDate ? allDay(start, end) : wholeDays(start, end, zoneNameOf(component), reading.zone)
  if (typeof days === 'string') return days
  const { firstOn, lastOn } = reading
  if (days.throughOn < firstOn || days.fromOn > lastOn) return 'outside-year'
  reading.closures.push({
    name,
    fromOn: days.fromOn < firstOn ? firstOn : days.fromOn,
    throughOn: days.throughOn > lastOn ? lastOn : days.throughOn,
  })
  return null
}

interface Days {
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
): Days | SkippedEvent['because'] {
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
