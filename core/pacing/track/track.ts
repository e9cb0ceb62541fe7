import type { IsoDay } from '../../base'
import { WHOLE_FROM } from '../../calendar'
import type { Meeting } from '../../calendar'
import type { LessonLength } from '../plan'

/** Part of a meeting that a lesson takes, in halves; a fraction for lessons counted in minutes. */
export interface Slot {
  readonly meeting: number
  readonly halves: number
}

/** What laying out needs to know of a meeting. */
export type Ground = Pick<Meeting, 'minutes' | 'usualMinutes'> &
  Partial<Pick<Meeting, 'on' | 'startMinute' | 'afterBreak' | 'wholeFromRatio' | 'isOff'>>

/** A length to be laid: half meetings, or minutes. */
export interface Need {
  readonly unit: LessonLength['unit']
  readonly amount: number
}

/**
 * A position in a class's meetings: `meeting * STEP + used`, where `used` counts half minutes of that meeting. A
 * meeting of 50 minutes has 100 of them, so that halves and minutes are both whole numbers.
 */
export type Position = number
const STEP = 4096

/**
 * The meetings of a class prepared for laying: sizes and half lengths in half minutes, capacities in halves.
 */
export interface Track {
  readonly meetings: readonly Ground[]
  readonly capacities: readonly number[]
  readonly sizes: readonly number[]
  readonly halves: readonly number[]
  /** Capacity in halves before each meeting. */
  readonly before: readonly number[]
  readonly end: Position
}

/**
 * What a meeting can hold, in halves: 2, or 1 below the school year's share of its usual minutes. Compared in
 * whole ten-thousandths: 55 of 100 minutes are a share of 0.55, which binary fractions do not see.
 */
export function capacityOf({ minutes, usualMinutes, wholeFromRatio = WHOLE_FROM }: Ground): number {
  return minutes * SHARES >= usualMinutes * Math.round(wholeFromRatio * SHARES) ? 2 : 1
}
const SHARES = 10_000

/** Prepares meetings for laying. */
export function trackOf(meetings: readonly Ground[]): Track {
  const count = meetings.length
  // plain arrays of known length: at this size typed ones cost more to make than they save
  const capacities = new Array<number>(count)
  const sizes = new Array<number>(count)
  const halves = new Array<number>(count)
  const before = new Array<number>(count + 1)
  before[0] = 0
  let sum = 0
  for (let m = 0; m < count; m++) {
    const { minutes } = meetings[m] as Ground
    const capacity = capacityOf(meetings[m] as Ground)
    capacities[m] = capacity
    sizes[m] = minutes * 2
    halves[m] = capacity === 2 ? minutes : minutes * 2
    sum += capacity
    before[m + 1] = sum
  }
  return { meetings, capacities, sizes, halves, before, end: count * STEP }
}

/**
 * The start of a meeting, or a place within it after some halves; a full meeting gives the start of the next.
 */
export function positionAt(track: Track, meeting: number, halves = 0): Position {
  if (meeting >= track.capacities.length) return track.end
  const used = halves * (track.halves[meeting] as number)
  return used >= (track.sizes[meeting] as number) ? (meeting + 1) * STEP : meeting * STEP + used
}

/** A place in a meeting after some half minutes; a full meeting gives the start of the next. */
export function positionAfter(track: Track, meeting: number, halfMinutes: number): Position {
  if (meeting >= track.sizes.length) return track.end
  return halfMinutes >= (track.sizes[meeting] as number) ? (meeting + 1) * STEP : meeting * STEP + halfMinutes
}

/** The meeting that a position lies in; the count of meetings at the end. */
export function meetingOf(position: Position): number {
  return Math.floor(position / STEP)
}

/** Halves between two positions; partly used halves count by their share. */
export function halvesBetween(track: Track, from: Position, to: Position): number {
  return to <= from ? 0 : halvesBefore(track, to) - halvesBefore(track, from)
}

function halvesBefore(track: Track, position: Position): number {
  const m = meetingOf(position)
  const used = position - m * STEP
  return (track.before[m] ?? 0) + (used === 0 ? 0 : used / (track.halves[m] as number))
}

/** The position that lies `halves` before another; not before the first meeting. */
export function stepBack(track: Track, from: Position, halves: number): Position {
  const target = halvesBefore(track, from) - halves
  if (target <= 0) return 0
  let m = Math.min(meetingOf(from), track.capacities.length - 1)
  while (m > 0 && (track.before[m] as number) > target) m--
  return positionAt(track, m, target - (track.before[m] as number))
}

/** The first meeting on or after a date; the count of meetings when there is none. */
export function firstOnOrAfter(track: Pick<Track, 'meetings'>, on: IsoDay): number {
  let [low, high] = [0, track.meetings.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (((track.meetings[middle] as Ground).on ?? '') < on) low = middle + 1
    else high = middle
  }
  return low
}

/** The first meeting at or after a start on a date; the count of meetings when there is none. */
export function firstNotBefore(track: Pick<Track, 'meetings'>, on: IsoDay, startMinute: number): number {
  let m = firstOnOrAfter(track, on)
  while (track.meetings[m]?.on === on && (track.meetings[m]?.startMinute ?? 0) < startMinute) m++
  return m
}

/** The same position, but past meetings right after a break for a need that may not begin there. */
export function startAt(track: Track, from: Position, unit: Need['unit'], notAfterBreak: boolean): Position {
  return notAfterBreak ? beginsAt(track, from, unit, true) : from
}

/**
 * Where a need really begins from a position: in the first meeting with room for some of it; with
 * `notAfterBreak` the first such meeting that does not come right after a break.
 */
export function beginsAt(track: Track, from: Position, unit: Need['unit'], notAfterBreak: boolean): Position {
  let m = meetingOf(from)
  let used = from - m * STEP
  for (; m < track.sizes.length; m++, used = 0) {
    const room = (track.sizes[m] as number) - used
    const least = unit === 'minutes' ? 1 : (track.halves[m] as number)
    if (room >= least && !(notAfterBreak && track.meetings[m]?.afterBreak)) return m * STEP + used
  }
  return track.end
}

/**
 * Lays a need from a position on: halves in whole halves of meetings, minutes wherever minutes are left. Gives the
 * position behind it, or -1 when the meetings end before. `slots`, if given, receives what was taken.
 */
export function place(track: Track, need: Need, from: Position, slots?: Slot[]): Position {
  let m = meetingOf(from)
  let used = from - m * STEP
  const { sizes, halves } = track
  const inMinutes = need.unit === 'minutes'
  for (let left = inMinutes ? need.amount * 2 : need.amount; left > 0;) {
    if (m >= sizes.length) return -1
    const half = halves[m] as number
    const room = (sizes[m] as number) - used
    const here = Math.min(left, inMinutes ? room : Math.floor(room / half))
    if (here > 0) {
      if (slots) slots.push({ meeting: m, halves: inMinutes ? here / half : here })
      used += inMinutes ? here : here * half
      left -= here
    }
    if (left > 0 || used >= (sizes[m] as number)) {
      m++
      used = 0
    }
  }
  return m * STEP + used
}

/**
 * The latest place in [least, most] from which `ends` still says yes, or -1 when not even `least` does. A
 * later start never ends sooner, so that halving finds it: first the meeting, then the minute in it.
 */
export function latestFrom(
  track: Track,
  least: Position,
  most: Position,
  isInTime: (from: Position) => boolean,
): Position {
  if (!isInTime(least)) return -1
  let [low, high] = [meetingOf(least), Math.min(meetingOf(most), track.sizes.length - 1)]
  while (low < high) {
    const middle = (low + high + 1) >> 1
    if (isInTime(middle * STEP)) low = middle
    else high = middle - 1
  }
  const start = low * STEP
  let [from, until] = [Math.max(0, least - start), Math.max(0, (track.sizes[low] ?? 0) - 1)]
  while (from < until) {
    const middle = (from + until + 1) >> 1
    if (isInTime(start + middle)) from = middle
    else until = middle - 1
  }
  return start + from
}

/** A need in half meetings; minutes by the usual half of the class's meetings around a position. */
export function inHalves(track: Track, need: Need, near: Position): number {
  if (need.unit === 'meetings') return need.amount
  const meeting = track.meetings[Math.min(meetingOf(near), track.meetings.length - 1)]
  return meeting ? Math.round((need.amount / (meeting.usualMinutes / 2)) * 100) / 100 : 0
}
