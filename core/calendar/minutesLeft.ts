import type { DayNote, FreeTime } from './types'

/** A meeting as its timetable has it; minutes after midnight. */
interface Span {
  readonly startMinute: number
  readonly usualMinutes: number
}

/** What notes leave of a meeting, and the notes that took something, in their order. */
export interface Left {
  readonly minutes: number
  readonly by: readonly DayNote[]
}

/** Shares of short days in whole ten-thousandths: 0.7 of 45 minutes are 31½, which binary fractions miss. */
const SHARES = 10_000

/**
 * What the notes of its day leave of a meeting. Closures and events of the whole day leave nothing. Of several
 * short days the shortest holds. Events of some hours take what they share with the meeting, together; what is
 * left is its longest free run or the sum, and nothing below a fifth of the meeting. An event that shares
 * nothing with it takes nothing.
 * @example 9:00 to 9:15 and 9:30 to 9:50 of 9:00 to 9:50 leave 15 minutes.
 */
export function minutesLeft(span: Span, notes: readonly DayNote[], freeTime: FreeTime): Left {
  const { usualMinutes } = span
  const takers: Taker[] = []
  for (const note of notes) {
    if (note.kind === 'short') continue
    const shared = sharedWith(span, note)
    if (shared === 'all') return { minutes: 0, by: [note] }
    if (shared !== null) takers.push({ note, shared })
  }
  const free = freeIn(
    usualMinutes,
    takers.map((t) => t.shared),
    freeTime,
  )
  // what is left of it is not worth a meeting: it was the events that took it, however short the day is
  if (takers.length > 0 && free * 5 < usualMinutes) return { minutes: 0, by: mostFirst(takers) }
  const isShorter = (note: DayNote) => shortTo(note, usualMinutes) < usualMinutes
  return {
    minutes: Math.min(free, ...notes.map((note) => shortTo(note, usualMinutes))),
    by: notes.filter((note) => isShorter(note) || takers.some((t) => t.note === note)),
  }
}

/** An event, and what it takes of a meeting, in minutes from its start. */
interface Taker {
  readonly note: DayNote
  readonly shared: readonly [number, number]
}

/** The events of a lost meeting, the one that took most of it first. */
function mostFirst(takers: readonly Taker[]): readonly DayNote[] {
  const length = ({ shared: [from, until] }: Taker) => until - from
  return takers.toSorted((a, b) => length(b) - length(a)).map((t) => t.note)
}

/** What a short day leaves of a meeting; any other note leaves all. */
function shortTo({ kind, minutes, factorRatio }: DayNote, usualMinutes: number): number {
  if (kind !== 'short') return usualMinutes
  return minutes ?? shareOf(usualMinutes, factorRatio ?? 1)
}

function shareOf(minutes: number, ratio: number): number {
  return Math.round((minutes * Math.round(ratio * SHARES)) / SHARES)
}

/** What a closure or event takes of a meeting, in minutes from its start; null: nothing. */
function sharedWith(
  { startMinute, usualMinutes }: Span,
  { kind, fromMinute, untilMinute }: DayNote,
): readonly [number, number] | 'all' | null {
  if (kind === 'closure' || fromMinute === undefined || untilMinute === undefined) return 'all'
  const from = Math.max(0, fromMinute - startMinute)
  const until = Math.min(usualMinutes, untilMinute - startMinute)
  return until > from ? [from, until] : null
}

function freeIn(length: number, taken: readonly (readonly [number, number])[], freeTime: FreeTime): number {
  let [sum, longest, at] = [0, 0, 0]
  for (const [from, until] of [...taken].sort((a, b) => a[0] - b[0])) {
    const run = Math.max(0, from - at)
    sum += run
    longest = Math.max(longest, run)
    at = Math.max(at, until)
  }
  const last = Math.max(0, length - at)
  return freeTime === 'sum' ? sum + last : Math.max(longest, last)
}
