import { CalendarDateTime, parseDate, toZoned } from '@internationalized/date'
import { addDays, dayNumber, instant, mondayOf } from '../base'
import type { Instant, IsoDay } from '../base'

/** Wall time of one IANA zone to and from instants. Holds a small cache of its own, so make one per computation. */
export interface Zone {
  readonly name: string
  /**
   * The instant of a local time given as minutes after midnight (1440 is the next day's 00:00).
   * A time skipped by a clock change moves forward by the gap; one that happens twice means the first.
   */
  readonly at: (day: IsoDay, minuteOfDay: number) => Instant
  /** The local date on which an instant falls, and its minutes after midnight. */
  readonly local: (at: Instant) => { readonly on: IsoDay, readonly minuteOfDay: number }
}

const MINUTE = 60_000

/** True when this machine's time zone data know the name. */
export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return true
  }
  catch {
    return false
  }
}

/** Wall-time arithmetic for a zone; an unknown name is a defect (check with `isZone` first). */
export function zoneOf(name: string): Zone {
  const parts = new Intl.DateTimeFormat('en-CA', {
    timeZone: name, hourCycle: 'h23', year: 'numeric', month: '2-digit', day: '2-digit', hour: '2-digit', minute: '2-digit',
  })

  const exact = (day: IsoDay, minute: number): number => {
    const carried = Math.floor(minute / 1440)
    const inDay = minute - carried * 1440
    const date = parseDate(addDays(day, carried))
    return toZoned(new CalendarDateTime(date.year, date.month, date.day, Math.floor(inDay / 60), inDay % 60), name, 'compatible').toDate().getTime()
  }

  const wallOf = (at: Instant) => {
    const got: Record<string, string> = {}
    for (const p of parts.formatToParts(at)) got[p.type] = p.value
    return { on: `${got.year}-${got.month}-${got.day}` as IsoDay, minuteOfDay: Number(got.hour) * 60 + Number(got.minute) }
  }
  const offsetOfWeek = weekOffsets(wallOf)
  return {
    name,
    at: (day, minute) => {
      const offset = offsetOfWeek(mondayOf(day))
      return instant(offset === null ? exact(day, minute) : (dayNumber(day) * 1440 + minute) * MINUTE - offset)
    },
    local: wallOf,
  }
}

/** The offset (wall clock minus UTC, in ms) of a whole week and a day on either side when no clock change falls into it, else null. */
function weekOffsets(wallOf: Zone['local']): (monday: IsoDay) => number | null {
  const weeks = new Map<IsoDay, number | null>()
  const offsets = new Map<number, number>()
  const offsetAt = (ms: number): number => {
    const known = offsets.get(ms)
    if (known !== undefined) return known
    const { on, minuteOfDay } = wallOf(instant(ms))
    const offset = (dayNumber(on) * 1440 + minuteOfDay) * MINUTE - ms
    offsets.set(ms, offset)
    return offset
  }
  return (monday) => {
    const known = weeks.get(monday)
    if (known !== undefined) return known
    const start = dayNumber(monday) * 1440 * MINUTE
    const probes = [-2, 4, 9].map(days => offsetAt(start + days * 1440 * MINUTE))
    const offset = probes[0] === probes[1] && probes[1] === probes[2] ? probes[0] as number : null
    weeks.set(monday, offset)
    return offset
  }
}
