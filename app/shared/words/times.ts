import { dayNumber, weekdayOf } from '#core/base'
import type { Instant, IsoDay } from '#core/base'
import type { WindowField } from '#core/availability'
import { zoneOf } from '#core/calendar'
import type { Zone } from '#core/calendar'
import { count } from './numbers'

export const WEEKDAY_WORDS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const

const zones = new Map<string, Zone>()

/** The zone's wall time, made once. */
export function zoneNamed(name: string): Zone {
  const known = zones.get(name) ?? zoneOf(name)
  zones.set(name, known)
  return known
}

/** 'Wed 21 Oct'. */
export function sayDay(on: IsoDay): string {
  return `${WEEKDAY_WORDS[weekdayOf(on) - 1]} ${sayDate(on)}`
}

/** '21 Oct'. */
export function sayDate(on: IsoDay): string {
  return `${Number(on.slice(8))} ${MONTHS[Number(on.slice(5, 7)) - 1]}`
}

/** 'Oct' of a day in October. */
export function sayMonth(on: IsoDay): string {
  return MONTHS[Number(on.slice(5, 7)) - 1] as string
}

/** '2:30 pm'. */
export function sayMinute(minuteOfDay: number): string {
  const minutes = ((minuteOfDay % 1440) + 1440) % 1440
  const hour = Math.floor(minutes / 60)
  return `${hour % 12 === 0 ? 12 : hour % 12}:${String(minutes % 60).padStart(2, '0')} ${hour < 12 ? 'am' : 'pm'}`
}

/** 'Wed 14 Oct, 8:30 am'; a moment at 00:00 that ends something is the end of the day before. */
export function sayMoment(at: Instant, zone: string, field: WindowField | 'at' = 'at'): string {
  const ends = field === 'due' || field === 'closes' || field === 'putAway'
  const { on, minuteOfDay } = zoneNamed(zone).local(at)
  if (minuteOfDay === 0 && ends) return `${sayDay(zoneNamed(zone).local((at - 1) as Instant).on)}, end of day`
  if (minuteOfDay === 0 && field !== 'at') return `${sayDay(on)}, start of day`
  return `${sayDay(on)}, ${sayMinute(minuteOfDay)}`
}

/** Clock time only, '10:42 am'. */
export function sayTime(at: Instant, zone: string): string {
  return sayMinute(zoneNamed(zone).local(at).minuteOfDay)
}

/** '3 days left' by the calendar, '2 h left' within a day, '12 min left'; empty once past. */
export function sayLeft(until: Instant, now: Instant, zone: string): string {
  const minutes = Math.ceil((until - now) / 60_000)
  if (minutes <= 0) return ''
  if (minutes < 60) return `${minutes} min left`
  if (minutes < 60 * 24) return `${Math.floor(minutes / 60)} h left`
  const { local } = zoneNamed(zone)
  // what is due at the end of a day is due on it
  const days = dayNumber(local((until - 1) as Instant).on) - dayNumber(local(now).on)
  return `${count(days, 'day')} left`
}

/** '12:05' minutes and seconds left. */
export function sayCountdown(until: Instant, now: Instant): string {
  const seconds = Math.max(0, Math.ceil((until - now) / 1000))
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}
