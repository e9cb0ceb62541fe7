import { addDays, dayNumber, parseIsoDay } from '#core/base'
import type { IsoDay } from '#core/base'

/** What a typed day may be read against. `meetings`: the days a class meets, in order. */
export interface DayContext {
  readonly today: IsoDay
  readonly min?: IsoDay
  readonly max?: IsoDay
  readonly meetings?: readonly IsoDay[]
}

/** A day as a reader of plain language found it; `isSure` of its year when that was written. */
export interface FoundDay {
  readonly year: number
  readonly month: number
  readonly day: number
  readonly isYearSure: boolean
}
/** Reads plain language such as 'next tue', counted from `today`; null when it finds no day. */
export type DayReader = (text: string, today: IsoDay) => FoundDay | null

/**
 * The day that somebody typed: '2026-10-21', '+3 meetings', '+2 days', or whatever the reader knows. A day without
 * a year is the nearest one within `min` and `max`. Null when it is none, or lies outside.
 */
export function readDay(text: string, context: DayContext, read: DayReader | null): IsoDay | null {
  const typed = text.trim().toLowerCase()
  const on =
    parseIsoDay(typed) ?? steps(typed, context) ?? digits(typed, context) ?? plain(typed, context, read)
  return on !== null && isWithin(on, context) ? on : null
}

function isWithin(on: IsoDay, { min, max }: DayContext): boolean {
  return (min === undefined || on >= min) && (max === undefined || on <= max)
}

/** '+3 meetings' counts the class's meetings after today, '+2 days' and '+1 week' the calendar. */
function steps(text: string, { today, meetings }: DayContext): IsoDay | null {
  const parts = /^\+ ?(\d{1,3}) ?(meeting|day|week)s?$/.exec(text)
  if (!parts) return null
  const count = Number(parts[1])
  if (parts[2] === 'week') return addDays(today, 7 * count)
  if (parts[2] === 'day') return addDays(today, count)
  const later = (meetings ?? []).filter((on) => on > today)
  return later[count - 1] ?? null
}

/** '28.10.' with points is day and month, as is '28/10', which can be nothing else. */
function digits(text: string, context: DayContext): IsoDay | null {
  const parts = /^(\d{1,2})([./])(\d{1,2})(?:\2(\d{4}|\d{2})?)?$/.exec(text)
  if (!parts) return null
  const [, first, sign, second, written] = parts
  const [day, month] = [Number(first), Number(second)]
  if (sign === '/' && day <= 12) return null
  const year = written === undefined ? null : Number(written) + (written.length === 2 ? 2000 : 0)
  return nearest(
    { year: year ?? Number(context.today.slice(0, 4)), month, day, isYearSure: year !== null },
    context,
  )
}

function plain(text: string, context: DayContext, read: DayReader | null): IsoDay | null {
  const found = read?.(text, context.today)
  return found ? nearest(found, context) : null
}

/** The day itself, or, where its year is not sure, the nearest one within the limits. */
function nearest(found: FoundDay, context: DayContext): IsoDay | null {
  const years = found.isYearSure ? [found.year] : [found.year - 1, found.year, found.year + 1]
  const days = years
    .flatMap((year) => parseIsoDay(isoText(year, found.month, found.day)) ?? [])
    .filter((on) => isWithin(on, context))
  const distance = (on: IsoDay) => Math.abs(dayNumber(on) - dayNumber(context.today))
  return days.sort((a, b) => distance(a) - distance(b))[0] ?? null
}

function isoText(year: number, month: number, day: number): string {
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
}
