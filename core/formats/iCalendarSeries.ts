import type ICAL from 'ical.js'
import { addDays, dayNumber, parseIsoDay } from '../base'
import type { IsoDay } from '../base'
import { daysOf } from './iCalendarDays'
import type { Days, NoDays, Zones } from './iCalendarDays'

/** One occurrence of a series; `component` is the exception's own where there is one. */
export interface Occurrence {
  readonly component: ICAL.Component
  readonly days: Days | NoDays
}

/** Daily since 1971 and still going; what repeats more often is no closure of whole days. */
const MOST_STEPS = 20_000
const OFTEN = ['SECONDLY', 'MINUTELY', 'HOURLY']

/**
 * The occurrences of a series up to the last day of the year, however long ago it began. 'too-many' ends a
 * series that repeats within a day or has more than 20,000 occurrences before.
 */
export function* occurrencesOf(
  event: ICAL.Event,
  year: { readonly firstOn: IsoDay; readonly lastOn: IsoDay; readonly zones: Zones },
): Generator<Occurrence | 'too-many'> {
  const { component } = event
  const rules = component.getAllProperties('rrule')
  if (rules.some((r) => OFTEN.includes(frequencyOf(r)))) return yield 'too-many'
  // the package would look for such a day for ever
  if (rules.some(isNever)) return
  const utc = utcDays(event, year.zones)
  // what ended long before the year needs no closer look, and there may be thousands of it
  const from = addDays(year.firstOn, -Math.ceil(event.duration.toSeconds() / 86_400) - 2)
  let steps = 0
  for (const at of startsOf(event, from)) {
    if (onOf(at) > year.lastOn) return
    if (++steps > MOST_STEPS) return yield 'too-many'
    if (onOf(at) < from && !(at.toString() in event.exceptions)) continue
    const { item, startDate, endDate } = event.getOccurrenceDetails(at)
    if (utc !== null && item.component === component) yield { component, days: utc(at) }
    else yield { component: item.component, days: daysOf(item.component, startDate, endDate, year.zones) }
  }
}

const MOST_DAYS_OF_MONTH = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31]

/** Whether a rule asks for a day of the month that none of its months has, such as 31 February. */
function isNever(rule: ICAL.Property): boolean {
  const parts = (rule.getFirstValue() as { readonly parts?: Readonly<Record<string, unknown>> } | null)?.parts
  const days = numbersIn(parts?.BYMONTHDAY)
  const months = numbersIn(parts?.BYMONTH)
  if (days.length === 0 || months.length === 0) return false
  return !months.some((m) => days.some((d) => Math.abs(d) <= (MOST_DAYS_OF_MONTH[m - 1] ?? 0)))
}

function numbersIn(value: unknown): readonly number[] {
  return Array.isArray(value) ? value.map(Number) : []
}

function frequencyOf(rule: ICAL.Property): string {
  return String((rule.getFirstValue() as { readonly freq?: string } | null)?.freq ?? '').toUpperCase()
}

/**
 * Where the occurrences start, each once. With single dates alone the package forgets the first one, the start
 * itself; one that rule and dates both name it gives twice.
 */
function* startsOf(event: ICAL.Event, from: IsoDay): Generator<ICAL.Time> {
  const each = event.iterator(laterStart(event, from))
  const { component, startDate } = event
  const isOnlyDates = component.hasProperty('rdate') && !component.hasProperty('rrule')
  let last = ''
  if (isOnlyDates && !isExcluded(component, startDate)) {
    last = startDate.toString()
    yield startDate
  }
  for (;;) {
    // nothing once the series has ended, whatever the package's types say
    const next = each.next() as ICAL.Time | null | undefined
    if (!next) return
    if (next.toString() !== last) yield next
    last = next.toString()
  }
}

const DAYS_OF: Readonly<Record<string, number>> = { DAILY: 1, WEEKLY: 7 }

/**
 * A later start from which a daily or weekly rule goes through the same days: thousands of occurrences before the
 * year need not be gone through one by one. A rule that counts its occurrences has to be.
 */
function laterStart({ component, startDate }: ICAL.Event, from: IsoDay): ICAL.Time {
  const rules = component.getAllProperties('rrule')
  const rule = rules[0]?.getFirstValue() as {
    readonly count?: number | null
    readonly interval?: number
  } | null
  const days = rules[0] ? DAYS_OF[frequencyOf(rules[0])] : undefined
  const start = parseIsoDay(onOf(startDate))
  if (rules.length !== 1 || !rule || rule.count || days === undefined || start === null) return startDate
  const period = days * Math.max(1, rule.interval ?? 1)
  const periods = Math.floor((dayNumber(from) - dayNumber(start)) / period)
  if (periods < 1) return startDate
  const later = startDate.clone()
  later.adjust(periods * period, 0, 0, 0)
  return later
}

function isExcluded(component: ICAL.Component, start: ICAL.Time): boolean {
  const dates = component.getAllProperties('exdate').flatMap((p) => p.getValues() as ICAL.Time[])
  return dates.some((d) => (d.isDate ? onOf(d) === onOf(start) : d.compare(start) === 0))
}

function onOf(time: ICAL.Time): string {
  return time.toString().slice(0, 10)
}

/**
 * A series written in UTC means the school's own days: after the clocks change, the same hour of UTC is another
 * one of the school. Its days follow those of the first occurrence, date by date. null for any other series.
 */
function utcDays(event: ICAL.Event, zones: Zones): ((at: ICAL.Time) => Days | NoDays) | null {
  const { startDate, endDate, component } = event
  if (startDate.isDate || startDate.zone.tzid !== 'UTC') return null
  const first = daysOf(component, startDate, endDate, zones)
  const start = parseIsoDay(onOf(startDate))
  return (at) => {
    const on = parseIsoDay(onOf(at))
    if (typeof first === 'string' || start === null || on === null) return first
    const later = dayNumber(on) - dayNumber(start)
    return { fromOn: addDays(first.fromOn, later), throughOn: addDays(first.throughOn, later) }
  }
}
