import type { ClassCalendar, LostMeeting, Meeting, Zone } from '../../calendar'
import type { ClassPacing, HeldSlot, LessonRecord } from '../plan'
import { firstNotBefore, firstOnOrAfter } from './track'
import type { Track } from './track'

type Times = Pick<Track, 'meetings'>

/**
 * The meeting in which something was held: the one at that start, or the only one of the day, since a class
 * whose hour has moved still met then; -1 when the class has no meeting there any more.
 */
export function meetingHeld(track: Times, { on, startMinute }: Omit<HeldSlot, 'halves'>): number {
  const m = firstNotBefore(track, on, startMinute)
  const there = track.meetings[m]
  if (there?.on === on && there.startMinute === startMinute) return m
  const first = firstOnOrAfter(track, on)
  const isOnlyOne = track.meetings[first]?.on === on && track.meetings[first + 1]?.on !== on
  return isOnlyOne ? first : -1
}

/** Every meeting in which something was held, by a class's record. */
export function heldIn({ records }: Pick<ClassPacing, 'records'>): readonly HeldSlot[] {
  return (Object.values(records) as LessonRecord[]).flatMap((r) => r.held)
}

/**
 * A calendar with the meetings put back that took place, by a class's record, though the calendar has none
 * there any more: closed or cancelled afterwards, or no part of a new timetable. They are marked `isOff` and
 * no longer stand among the lost ones. The same calendar when nothing is missing.
 */
export function withHeld(
  calendar: ClassCalendar,
  held: readonly Omit<HeldSlot, 'halves'>[],
  zone: Zone,
): ClassCalendar {
  const missing = new Map<string, Omit<HeldSlot, 'halves'>>()
  for (const slot of held)
    if (meetingHeld(calendar, slot) < 0) missing.set(`${slot.on} ${slot.startMinute}`, slot)
  if (missing.size === 0) return calendar
  const lostAt = new Map(calendar.lost.map((l) => [`${l.on} ${l.startMinute}`, l]))
  const back = [...missing].map(([key, slot]) => putBack(slot, lostAt.get(key), calendar, zone))
  return {
    meetings: [...calendar.meetings, ...back].sort(inTime).map((m, index) => ({ ...m, index })),
    lost: calendar.lost.filter((l) => !missing.has(`${l.on} ${l.startMinute}`)),
  }
}

const USUAL_MINUTES = 50

function putBack(
  { on, startMinute }: Omit<HeldSlot, 'halves'>,
  lost: LostMeeting | undefined,
  { meetings }: ClassCalendar,
  zone: Zone,
): Meeting {
  const alike = meetings.find((m) => m.startMinute === startMinute) ?? meetings[0]
  const minutes = lost?.minutes ?? alike?.usualMinutes ?? USUAL_MINUTES
  return {
    index: 0,
    on,
    startMinute,
    minutes,
    usualMinutes: minutes,
    wholeFromRatio: alike?.wholeFromRatio ?? 1,
    label: null,
    because: lost ? [lost.because] : [],
    afterBreak: false,
    isOff: true,
    startsAt: zone.at(on, startMinute),
    endsAt: zone.at(on, startMinute + minutes),
  }
}

function inTime(a: Meeting, b: Meeting): number {
  if (a.on === b.on) return a.startMinute - b.startMinute
  return a.on < b.on ? -1 : 1
}
