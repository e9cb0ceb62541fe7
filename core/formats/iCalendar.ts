import ICAL from 'ical.js'
import { ok, refuse } from '../base'
import type { IsoDay, Result } from '../base'
import type { ClosureReading, FoundClosure, SkippedEvent } from './closures'
import { badDates } from './iCalendarDates'
import { daysOf, zonesFor } from './iCalendarDays'
import type { Days, Zones } from './iCalendarDays'
import { occurrencesOf } from './iCalendarSeries'
import type { FormatRefusal } from './refusals'

export const MOST_ICS_BYTES = 1_000_000

interface YearSpan {
  readonly firstOn: IsoDay
  readonly lastOn: IsoDay
  readonly zone: string
}
interface Reading extends YearSpan {
  readonly zones: Zones
  readonly closures: FoundClosure[]
  readonly skipped: SkippedEvent[]
}

/**
 * Reads the events of an iCalendar file (RFC 5545) that close whole days of the year: all-day events of any
 * length, and events with clock times that run from one local midnight of the school to another, whatever zone
 * they are written in. Repeated events are unfolded, with the exceptions of their own UID; several calendars in
 * one file are read as one. Every other event is listed as skipped, with the reason. Refused when it is no
 * calendar, holds no closure or more than a thousand, or is over 1 MB.
 */
export function parseClosures(text: string, year: YearSpan): Result<ClosureReading, FormatRefusal> {
  if (text.length > MOST_ICS_BYTES)
    return refuse({ code: 'formats/too-large', field: 'text', most: MOST_ICS_BYTES })
  const source = text.replace(/^\uFEFF/, '')
  const roots = /BEGIN:VCALENDAR/i.test(source.slice(0, 2000)) ? calendarsIn(source) : null
  if (roots === null) return refuse({ code: 'formats/not-a-calendar', field: 'text' })
  const events = roots.flatMap((root) => root.getAllSubcomponents('vevent'))
  const tasks = roots.flatMap((root) => root.getAllSubcomponents('vtodo'))
  const reading: Reading = {
    ...year,
    zones: zonesFor(year.zone),
    closures: [],
    skipped: tasks.map((task) => ({ name: nameOf(task), because: 'task' })),
  }
  const bad = badDates(source)
  const exceptions = exceptionsByUid(events)
  const masters = new Set(events.filter((e) => !e.hasProperty('recurrence-id')).map(uidOf))
  for (const [i, component] of events.entries()) {
    const name = nameOf(component)
    // a changed occurrence belongs to its series; alone it is an event like any other
    const isOfSeries = component.hasProperty('recurrence-id') && masters.has(uidOf(component))
    if (bad.has(i)) reading.skipped.push({ name, because: 'bad-date' })
    else if (!isOfSeries) readEvent(component, exceptions.get(uidOf(component)) ?? [], reading)
    const count = reading.closures.length
    if (count > MOST_CLOSURES)
      return refuse({ code: 'formats/too-many-closures', field: 'text', count, most: MOST_CLOSURES })
  }
  const { closures, skipped } = reading
  if (closures.length === 0)
    return refuse({
      code: 'formats/no-closures',
      field: 'text',
      events: events.length,
      skipped: skipped.slice(0, NAMED),
    })
  closures.sort((a, b) => (a.fromOn < b.fromOn ? -1 : a.fromOn > b.fromOn ? 1 : 0))
  return ok({ closures, skipped })
}

/** More than any year has days and any school has reasons to close. */
const MOST_CLOSURES = 1000

/** So many of the events left out are named in a refusal. */
const NAMED = 20

/** All calendars in a file, in its order; null when it cannot be read. */
function calendarsIn(source: string): readonly ICAL.Component[] | null {
  try {
    const parsed: unknown[] = ICAL.parse(source)
    const roots = Array.isArray(parsed[0]) ? parsed : [parsed]
    return roots.map((root) => new ICAL.Component(root as string))
  } catch {
    return null
  }
}

function exceptionsByUid(events: readonly ICAL.Component[]): ReadonlyMap<string, readonly ICAL.Component[]> {
  const found = new Map<string, ICAL.Component[]>()
  for (const event of events) {
    if (!event.hasProperty('recurrence-id')) continue
    const uid = uidOf(event)
    found.set(uid, [...(found.get(uid) ?? []), event])
  }
  return found
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
    if (!component.hasProperty('dtstart')) return skip('no-date')
    // given by hand: left to itself, the package takes exceptions of every event in the file
    const event = new ICAL.Event(component, { exceptions: [...exceptions] })
    if (event.isRecurring()) return readSeries(event, name, reading)
    const fault = keep(name, daysOf(component, event.startDate, event.endDate, reading.zones), reading)
    if (fault) skip(fault)
  } catch {
    skip('no-date')
  }
}

function readSeries(event: ICAL.Event, name: string, reading: Reading): void {
  let [found, fault]: [number, SkippedEvent['because']] = [0, 'outside-year']
  const skip = (of: string, because: SkippedEvent['because']) =>
    void reading.skipped.push({ name: of, because })
  for (const occurrence of occurrencesOf(event, reading)) {
    if (occurrence === 'too-many') return skip(name, 'repeats-too-often')
    const { component, days } = occurrence
    if (isCancelled(component)) continue
    const isException = component !== event.component
    const bad = keep(isException ? nameOf(component) : name, days, reading)
    if (bad === null) found++
    else if (isException && bad !== 'outside-year') skip(nameOf(component), bad)
    else if (!isException) fault = bad
  }
  if (found === 0) skip(name, fault)
}

/** Keeps the days that an occurrence closes; says why not. */
function keep(
  name: string,
  days: Days | SkippedEvent['because'],
  reading: Reading,
): SkippedEvent['because'] | null {
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
