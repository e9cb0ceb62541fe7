import ICAL from 'ical.js'
import { addDays, ok, parseIsoDay, refuse } from '../base'
import type { IsoDay, Result } from '../base'
import type { FormatRefusal } from './refusals'

export interface FoundClosure { readonly name: string, readonly fromOn: IsoDay, readonly throughOn: IsoDay }
export const SKIPPED_BECAUSE = ['not-all-day', 'outside-year', 'no-date', 'repeats-too-often', 'cancelled'] as const
export interface SkippedEvent { readonly name: string, readonly because: typeof SKIPPED_BECAUSE[number] }
export interface ClosureReading { readonly closures: readonly FoundClosure[], readonly skipped: readonly SkippedEvent[] }

export const MOST_ICS_BYTES = 1_000_000
const MOST_REPEATS = 400

/**
 * Reads all-day events of an iCalendar file (RFC 5545) that touch the year as closures; repeated ones are unfolded.
 * Events with a clock time are listed as skipped, since they close no day. Refused when it is no calendar, holds none, or is over 1 MB.
 */
export function parseClosures(text: string, year: { readonly firstOn: IsoDay, readonly lastOn: IsoDay }): Result<ClosureReading, FormatRefusal> {
  if (text.length > MOST_ICS_BYTES) return refuse({ code: 'formats/too-large', field: 'text', most: MOST_ICS_BYTES })
  if (!/BEGIN:VCALENDAR/i.test(text.slice(0, 2000))) return refuse({ code: 'formats/not-a-calendar', field: 'text' })
  let events: ICAL.Component[]
  try {
    const parsed = ICAL.parse(text)
    const root = new ICAL.Component(Array.isArray(parsed[0]) ? parsed[0] : parsed)
    events = root.getAllSubcomponents('vevent')
  }
  catch {
    return refuse({ code: 'formats/not-a-calendar', field: 'text' })
  }
  const closures: FoundClosure[] = []
  const skipped: SkippedEvent[] = []
  for (const component of events) readEvent(component, year, closures, skipped)
  if (closures.length === 0) return refuse({ code: 'formats/no-closures', field: 'text', events: events.length })
  closures.sort((a, b) => (a.fromOn < b.fromOn ? -1 : a.fromOn > b.fromOn ? 1 : 0))
  return ok({ closures, skipped })
}

function readEvent(component: ICAL.Component, year: { readonly firstOn: IsoDay, readonly lastOn: IsoDay }, closures: FoundClosure[], skipped: SkippedEvent[]): void {
  const name = String(component.getFirstPropertyValue('summary') ?? '').trim().slice(0, 120) || 'Closed'
  const skip = (because: SkippedEvent['because']) => skipped.push({ name, because })
  try {
    if (String(component.getFirstPropertyValue('status') ?? '').toUpperCase() === 'CANCELLED') return void skip('cancelled')
    const event = new ICAL.Event(component)
    if (!event.startDate) return void skip('no-date')
    if (!event.startDate.isDate) return void skip('not-all-day')
    const span = Math.max(1, Math.round(event.duration.toSeconds() / 86_400))
    if (!event.isRecurring()) return void (keep(closures, year, name, event.startDate.toString(), span) || skip('outside-year'))
    const each = event.iterator()
    let found = 0
    for (let i = 0; i < MOST_REPEATS; i++) {
      const next = each.next()
      if (!next || next.toString() > year.lastOn) return void (found === 0 && skip('outside-year'))
      if (keep(closures, year, name, next.toString(), span)) found++
    }
    skip('repeats-too-often')
  }
  catch {
    skip('no-date')
  }
}

function keep(closures: FoundClosure[], year: { readonly firstOn: IsoDay, readonly lastOn: IsoDay }, name: string, startText: string, days: number): boolean {
  const start = parseIsoDay(startText)
  if (start === null) return false
  const end = addDays(start, days - 1)
  if (end < year.firstOn || start > year.lastOn) return false
  closures.push({ name, fromOn: start < year.firstOn ? year.firstOn : start, throughOn: end > year.lastOn ? year.lastOn : end })
  return true
}
