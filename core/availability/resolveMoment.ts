import { addDays, ok, refuse } from '../base'
import type { Instant, IsoDay, LessonId, Result } from '../base'
import type { Meeting, Zone } from '../calendar'
import type { AvailabilityRefusal } from './refusals'
import type { Anchor, MeetingAfter, Moment, WindowField } from './types'

/**
 * One class's calendar and where its lessons lie (first and last meeting index), on which anchors stand.
 * `extents` null: no plan is laid yet.
 */
export interface Ground {
  readonly zone: Zone
  readonly firstOn: IsoDay
  readonly lastOn: IsoDay
  readonly meetings: readonly Meeting[]
  readonly extents: ReadonlyMap<LessonId, { readonly first: number; readonly last: number }> | null
}

/** True for moments that end something: a whole day then lasts through its end. */
export function isEnd(field: WindowField): boolean {
  return field === 'due' || field === 'closes' || field === 'putAway'
}

/**
 * The instant of one moment in one class. Refused when an anchor's lesson is not in the layout, or when the anchor
 * points before the first or past the last meeting or day of the year, or when a class has not so many meetings left.
 * @example "last meeting + 1, class end" of a lesson whose last meeting is Tue: the end of the class's
 * meeting after that Tuesday.
 */
export function resolveMoment(
  moment: Moment,
  field: WindowField,
  ground: Ground,
): Result<Instant, AvailabilityRefusal> {
  if (moment.kind === 'day') return ok(ground.zone.at(moment.on, isEnd(field) ? 1440 : 0))
  if (moment.kind === 'time') return ok(ground.zone.at(moment.on, moment.minuteOfDay))
  return moment.kind === 'meeting'
    ? resolveMeeting(moment, field, ground)
    : resolveAnchor(moment, field, ground)
}

function resolveMeeting(
  { on, minuteOfDay, count, at }: MeetingAfter,
  field: WindowField,
  { meetings, zone }: Ground,
): Result<Instant, AvailabilityRefusal> {
  const after = zone.at(on, minuteOfDay)
  const later = meetings.filter((m) => m.startsAt > after)
  const meeting = later[count - 1]
  if (!meeting)
    return refuse({ code: 'availability/no-more-meetings', field, wanted: count, left: later.length })
  return ok(inDay(meeting.on, meeting, at, zone))
}

function resolveAnchor(
  anchor: Anchor,
  field: WindowField,
  ground: Ground,
): Result<Instant, AvailabilityRefusal> {
  if (ground.extents === null) return refuse({ code: 'availability/no-layout', field })
  const extent = ground.extents.get(anchor.lessonId)
  if (!extent) return refuse({ code: 'availability/lesson-not-laid-out', field, lessonId: anchor.lessonId })
  const edge = anchor.edge === 'first' ? extent.first : extent.last
  const past = {
    code: 'availability/anchor-past-year',
    field,
    lessonId: anchor.lessonId,
    offset: anchor.offset,
    meetings: ground.meetings.length,
  } as const
  const meeting = ground.meetings[anchor.step === 'meetings' ? edge + anchor.offset : edge]
  if (!meeting) return refuse(past)
  if (anchor.step === 'meetings' || anchor.offset === 0)
    return ok(inDay(meeting.on, meeting, anchor.at, ground.zone))
  const on = addDays(meeting.on, anchor.offset)
  if (on < ground.firstOn || on > ground.lastOn) return refuse(past)
  // days away from class: class start and end mean the class's own time of day that meeting
  return ok(inDay(on, meeting, anchor.at, ground.zone))
}

function inDay(on: IsoDay, meeting: Meeting, at: Anchor['at'], zone: Zone): Instant {
  if (at === 'class-start') return zone.at(on, meeting.startMinute)
  if (at === 'class-end') return zone.at(on, meeting.startMinute + meeting.minutes)
  if (at === 'end-of-day') return zone.at(on, 1440)
  return zone.at(on, at.minuteOfDay)
}
