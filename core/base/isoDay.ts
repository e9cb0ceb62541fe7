import type { Brand } from './brand'
import type { Instant } from './instant'

/** A calendar date without time or zone, 'YYYY-MM-DD'. Compares correctly as text. */
export type IsoDay = Brand<string, 'IsoDay'>
/** 1 = Monday … 7 = Sunday, as in ISO 8601. */
export type Weekday = 1 | 2 | 3 | 4 | 5 | 6 | 7

export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const satisfies readonly Weekday[]

const SHAPE = /^\d{4}-\d{2}-\d{2}$/
const DAY_MS = 86_400_000

/** Reads 'YYYY-MM-DD'; null for anything else, 31 February included (never clamped). */
export function parseIsoDay(text: string): IsoDay | null {
  if (!SHAPE.test(text)) return null
  const [year, month, day] = [
    Number(text.slice(0, 4)),
    Number(text.slice(5, 7)),
    Number(text.slice(8)),
  ] as const
  return year >= 100 && day >= 1 && day <= daysIn(year, month) ? (text as IsoDay) : null
}

/** Days of a month (1 to 12) in the Gregorian calendar; 0 for a month that is none. */
function daysIn(year: number, month: number): number {
  if (month === 2) return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28
  return month < 1 || month > 12 ? 0 : month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31
}

/** Brands a date written in code or already checked; anything else is a defect. */
export function isoDay(text: string): IsoDay {
  const day = parseIsoDay(text)
  if (day === null) throw new Error(`not a calendar date: ${text}`)
  return day
}

/** Days since 1970-01-01; for arithmetic in loops. */
export function dayNumber(day: IsoDay): number {
  return Date.parse(`${day}T00:00:00Z`) / DAY_MS
}

/** The date of a day number. */
export function dayOfNumber(number: number): IsoDay {
  return new Date(number * DAY_MS).toISOString().slice(0, 10) as IsoDay
}

/** The date `count` calendar days later (earlier when negative). */
export function addDays(day: IsoDay, count: number): IsoDay {
  return dayOfNumber(dayNumber(day) + count)
}

/** Monday = 1 … Sunday = 7. */
export function weekdayOf(day: IsoDay): Weekday {
  return weekdayOfNumber(dayNumber(day))
}

/** Monday = 1 … Sunday = 7 of a day number; 1970-01-01 was a Thursday. */
export function weekdayOfNumber(number: number): Weekday {
  return (((((number + 3) % 7) + 7) % 7) + 1) as Weekday
}

/** The Monday of the date's ISO week. */
export function mondayOf(day: IsoDay): IsoDay {
  return addDays(day, 1 - weekdayOf(day))
}

/** Every date from `first` through `last`; empty when `last` is before `first`. */
export function daysThrough(first: IsoDay, last: IsoDay): IsoDay[] {
  const days: IsoDay[] = []
  for (let n = dayNumber(first), end = dayNumber(last); n <= end; n++) days.push(dayOfNumber(n))
  return days
}

/** A moment as ISO 8601 in UTC: '2026-10-14T15:00:00.000Z'. */
export function printInstant(at: Instant): string {
  return new Date(at).toISOString()
}
