import { dayNumber, dayOfNumber, instant, mondayOf } from '../base'
import type { Instant, IsoDay } from '../base'

/**
 * Wall time of one IANA zone to and from instants. Holds a small cache of its own, so make one per
 * computation.
 */
export interface Zone {
  readonly name: string
  /**
   * The instant of a local time given as minutes after midnight (1440 is the next day's 00:00).
   * A time skipped by a clock change moves forward by the gap; one that happens twice means the first.
   */
  readonly at: (day: IsoDay, minuteOfDay: number) => Instant
  /** The local date on which an instant falls, and its minutes after midnight. */
  readonly local: (at: Instant) => { readonly on: IsoDay; readonly minuteOfDay: number }
}

const MINUTE = 60_000
const DAY = 1440 * MINUTE

/** True when this machine's time zone data know the name. */
export function isZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name })
    return true
  } catch {
    return false
  }
}

/** Wall-time arithmetic for a zone; an unknown name is a defect (check with `isZone` first). */
export function zoneOf(name: string): Zone {
  const parts = new Intl.DateTimeFormat('en-CA', {
    timeZone: name,
    hourCycle: 'h23',
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
  })

  const wallOf = (at: Instant) => {
    const got: Record<string, string> = {}
    for (const p of parts.formatToParts(at)) got[p.type] = p.value
    return {
      on: `${got.year}-${got.month}-${got.day}` as IsoDay,
      minuteOfDay: Number(got.hour) * 60 + Number(got.minute),
    }
  }
  const offsets = offsetsOf(wallOf)
  // per day: midnight as if it were UTC, and the offset that holds all day (null around a clock change)
  const days = new Map<IsoDay, { readonly midnight: number; readonly offset: number | null }>()
  // the same by the number of the day in UTC, which is at most one day off, with the names of days
  const offsetsInUtc = new Map<number, number | null>()
  const names = new Map<number, IsoDay>()
  return {
    name,
    at: (day, minute) => {
      let known = days.get(day)
      if (known === undefined) {
        known = { midnight: dayNumber(day) * DAY, offset: offsets.ofWeek(mondayOf(day)) }
        days.set(day, known)
      }
      const wall = known.midnight + minute * MINUTE
      return instant(wall - (known.offset ?? offsets.ofWall(wall)))
    },
    local: (at) => {
      const offset = kept(offsetsInUtc, Math.floor(at / DAY), (n) => offsets.ofWeek(mondayOf(dayOfNumber(n))))
      if (offset === null) return wallOf(at)
      const wall = at + offset
      const day = Math.floor(wall / DAY)
      return {
        on: kept(names, day, dayOfNumber),
        minuteOfDay: Math.floor((wall - day * DAY) / MINUTE),
      }
    },
  }
}

function kept<K, V>(known: Map<K, V>, key: K, make: (key: K) => V): V {
  const ready = known.get(key)
  if (ready !== undefined) return ready
  const made = make(key)
  known.set(key, made)
  return made
}

interface Offsets {
  /** Of a whole week and a day on either side when no clock change falls into it, else null. */
  readonly ofWeek: (monday: IsoDay) => number | null
  /**
   * Of one wall time, given as if it were UTC: before a change in a gap, the earlier of two in an overlap.
   */
  readonly ofWall: (wall: number) => number
}

/** Offsets (wall clock minus UTC, in ms) from the machine's zone data, each instant asked for once. */
function offsetsOf(wallOf: Zone['local']): Offsets {
  const weeks = new Map<IsoDay, number | null>()
  const known = new Map<number, number>()
  const at = (ms: number): number => {
    const ready = known.get(ms)
    if (ready !== undefined) return ready
    const { on, minuteOfDay } = wallOf(instant(ms))
    const offset = (dayNumber(on) * 1440 + minuteOfDay) * MINUTE - ms
    known.set(ms, offset)
    return offset
  }
  return {
    ofWeek: (monday) => {
      const ready = weeks.get(monday)
      if (ready !== undefined) return ready
      const start = dayNumber(monday) * DAY
      const probes = [-2, 4, 9].map((days) => at(start + days * DAY))
      const offset = probes[0] === probes[1] && probes[1] === probes[2] ? (probes[0] as number) : null
      weeks.set(monday, offset)
      return offset
    },
    ofWall: (wall) => {
      const before = at(wall - DAY)
      const after = at(wall + DAY)
      // the first of two is the one with the greater offset; a time that does not exist is read with the
      // offset before
      const valid = [before, after].filter((offset) => at(wall - offset) === offset)
      return valid.length === 0 ? before : Math.max(...valid)
    },
  }
}
