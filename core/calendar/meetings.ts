import { weekdayOf } from '../base'
import type { ClassId, IsoDay } from '../base'
import { schoolDays } from './dayLetters'
import type { SchoolDay } from './dayLetters'
import type {
  ClassCalendar,
  DayNote,
  FreeTime,
  LostMeeting,
  Meeting,
  MeetingChange,
  PatternRow,
  SchoolYear,
} from './types'
import { minutesLeft } from './minutesLeft'
import { zoneOf } from './zone'
import type { Zone } from './zone'

type Draft = Omit<Meeting, 'index' | 'startsAt' | 'endsAt' | 'afterBreak' | 'wholeFromRatio'>
type Lost = Omit<LostMeeting, 'startsAt'>

/** A meeting counts as a whole one from this share of its usual minutes, where the year says nothing else. */
export const WHOLE_FROM = 0.6

/** From so many closed school days in a row on it is a break. */
const BREAK_DAYS = 2

/**
 * A class's meetings of the year in order of time, and those it lost with the reason.
 * @param zone pass one to share its cache between classes.
 * @example An A-day class after a closed Monday (letters advancing on instructional days) meets on the
 * Tuesday if Monday was an A day.
 */
export function meetings(
  year: SchoolYear,
  classId: ClassId,
  pattern: readonly PatternRow[],
  changes: readonly MeetingChange[],
  zone: Zone = zoneOf(year.zone),
): ClassCalendar {
  const { wholeFromRatio = WHOLE_FROM, freeTime = 'longest-run' } = year
  const notes = year.notes.filter((n) => n.classIds.length === 0 || n.classIds.includes(classId))
  const days = schoolDays(year)
  const { drafts, lost } = byPattern(days, pattern, notes, freeTime)
  applyChanges(drafts, lost, changes, year)
  drafts.sort(inTime)
  const afterBreak = breakSeeker(breakEnds(days))
  return {
    // field by field: spreading would give every meeting a shape of its own, and slow down whoever walks over
    // them
    meetings: drafts.map(({ on, startMinute, minutes, usualMinutes, label, because }, index) => ({
      on,
      startMinute,
      minutes,
      usualMinutes,
      wholeFromRatio,
      label,
      because,
      index,
      afterBreak: afterBreak(on, index),
      startsAt: zone.at(on, startMinute),
      endsAt: zone.at(on, startMinute + minutes),
    })),
    lost: lost.sort(inTime).map((l) => ({ ...l, startsAt: zone.at(l.on, l.startMinute) })),
  }
}

function inTime(a: Draft | Lost, b: Draft | Lost): number {
  if (a.on === b.on) return a.startMinute - b.startMinute
  return a.on < b.on ? -1 : 1
}

/** What the pattern gives on each school day, and what notes take of it. */
function byPattern(
  days: readonly SchoolDay[],
  pattern: readonly PatternRow[],
  notes: readonly DayNote[],
  freeTime: FreeTime,
) {
  const drafts: Draft[] = []
  const lost: Lost[] = []
  for (const day of days) {
    for (const row of pattern) {
      if (!rowHolds(row, day)) continue
      const draft = {
        on: day.on,
        startMinute: row.startMinute,
        minutes: row.minutes,
        usualMinutes: row.minutes,
        label: day.label,
        because: [],
      }
      const outcome = applyNotes(draft, notes, day, freeTime)
      if ('cause' in outcome) lost.push(outcome)
      else drafts.push(outcome)
    }
  }
  return { drafts, lost }
}

/** Tells for one meeting after the other, in order of time, whether it is the first one after a break. */
function breakSeeker(breaks: readonly IsoDay[]): (on: IsoDay, index: number) => boolean {
  let next = 0
  return (on, index) => {
    let is = false
    for (; next < breaks.length && (breaks[next] as IsoDay) <= on; next++) is = index > 0
    return is
  }
}

/** The first school day after each break. */
function breakEnds(days: readonly SchoolDay[]): IsoDay[] {
  const ends: IsoDay[] = []
  let closed = 0
  for (const day of days) {
    if (day.closedBy === null && closed >= BREAK_DAYS) ends.push(day.on)
    closed = day.closedBy === null ? 0 : closed + 1
  }
  return ends
}

function rowHolds(row: PatternRow, day: SchoolDay): boolean {
  if (row.fromOn !== undefined && day.on < row.fromOn) return false
  if (row.throughOn !== undefined && day.on > row.throughOn) return false
  return 'weekday' in row.day
    ? row.day.weekday === weekdayOf(day.on)
    : (day.label ?? day.lostLabel) === row.day.label
}

function applyNotes(
  draft: Draft,
  notes: readonly DayNote[],
  day: SchoolDay,
  freeTime: FreeTime,
): Draft | Lost {
  const lose = (because: string, cause: LostMeeting['cause']): Lost => ({
    on: draft.on,
    startMinute: draft.startMinute,
    minutes: draft.minutes,
    because,
    cause,
  })
  if (day.closedBy !== null) return lose(day.closedBy, 'closure')
  const today = notes.filter((n) => n.fromOn <= day.on && day.on <= n.throughOn)
  if (today.length === 0) return draft
  const { minutes, by } = minutesLeft(draft, today, freeTime)
  const [first] = by
  if (minutes <= 0 && first) return lose(first.name, first.kind === 'closure' ? 'closure' : 'event')
  return first ? { ...draft, minutes, because: by.map((n) => n.name) } : draft
}

function applyChanges(
  drafts: Draft[],
  lost: Lost[],
  changes: readonly MeetingChange[],
  year: SchoolYear,
): void {
  for (const change of changes) {
    const at = drafts.findIndex((d) => d.on === change.on && d.startMinute === change.startMinute)
    const found = drafts[at]
    if (change.kind === 'add') {
      const inYear = year.firstOn <= change.on && change.on <= year.lastOn
      if (!found && inYear)
        drafts.push({
          on: change.on,
          startMinute: change.startMinute,
          minutes: change.minutes,
          usualMinutes: change.minutes,
          label: null,
          because: [change.why],
        })
    } else if (!found) continue
    else if (change.kind === 'cancel') {
      drafts.splice(at, 1)
      lost.push({
        on: found.on,
        startMinute: found.startMinute,
        minutes: found.minutes,
        because: change.why,
        cause: 'cancelled',
      })
    } else drafts[at] = { ...found, minutes: change.minutes, because: [...found.because, change.why] }
  }
}

/** Lost and shortened meetings between two dates, both included. */
export function lossesBetween(
  calendar: ClassCalendar,
  firstOn: IsoDay,
  lastOn: IsoDay,
): { readonly lost: number; readonly shortened: number; readonly meetings: number } {
  const inside = (on: IsoDay) => firstOn <= on && on <= lastOn
  return {
    meetings: calendar.meetings.filter((m) => inside(m.on)).length,
    lost: calendar.lost.filter((l) => inside(l.on)).length,
    shortened: calendar.meetings.filter((m) => inside(m.on) && m.minutes < m.usualMinutes).length,
  }
}
