import ICAL from 'ical.js'
import type { AssignmentId, ClassId, Instant, LessonId } from '../base'
import type { ClassCalendar, Zone } from '../calendar'
import type { Layout, PlanLesson } from '../pacing'

/**
 * One event of a printed calendar. The same thing keeps its `uid` however it moves; `cancelled` tells
 * calendars that had it to drop it.
 */
export interface CalendarEvent {
  readonly uid: string
  readonly title: string
  readonly startsAt: Instant
  readonly endsAt: Instant
  readonly about: string
  readonly cancelled: boolean
}

export interface EventWork {
  readonly id: AssignmentId
  readonly title: string
  readonly held: boolean
  readonly opensAt: Instant | null
  readonly dueAt: Instant | null
}
export interface EventSource {
  readonly classId: ClassId
  readonly className: string
  readonly zone: Zone
  readonly calendar: ClassCalendar
  readonly layout: Layout | null
  readonly sequence: readonly PlanLesson[]
  readonly work: readonly EventWork[]
}

const HOST = 'step-cairn'
const POINT_MS = 5 * 60_000

/**
 * A class's year as events: each meeting with its lessons, lost meetings as cancelled, and five minutes up to
 * the moments at which work opens or falls due.
 */
export function classEvents({
  classId,
  className,
  zone,
  calendar,
  layout,
  sequence,
  work,
}: EventSource): CalendarEvent[] {
  const held = lessonsByMeeting(layout)
  const lessons = new Map(sequence.map((l) => [l.id, l]))
  const uid = (on: string, startMinute: number) => `m-${classId}-${on}-${startMinute}@${HOST}`
  const meetings = calendar.meetings.map((m): CalendarEvent => {
    const here = (held.get(m.index) ?? []).map((id) => lessons.get(id)).filter((l) => l !== undefined)
    const names = here.map((l) => `${l.number} ${l.title}`.trim()).join(' · ')
    return {
      uid: uid(m.on, m.startMinute),
      title: `${className}: ${names || 'free'}`,
      startsAt: m.startsAt,
      endsAt: m.endsAt,
      about: m.because.join(', '),
      cancelled: false,
    }
  })
  const lost = calendar.lost.map((l): CalendarEvent => ({
    uid: uid(l.on, l.startMinute),
    title: `${className}: no class`,
    startsAt: zone.at(l.on, l.startMinute),
    endsAt: zone.at(l.on, l.startMinute + l.minutes),
    about: l.because,
    cancelled: true,
  }))
  const known = new Set(meetings.map((m) => m.uid))
  return [
    ...meetings,
    ...lost.filter((l) => !known.has(l.uid)),
    ...work.flatMap((w) => workEvents(w, classId, className)),
  ]
}

function lessonsByMeeting(layout: Layout | null): ReadonlyMap<number, LessonId[]> {
  const held = new Map<number, LessonId[]>()
  for (const p of layout?.placements ?? [])
    if (p.placed) for (const s of p.slots) held.set(s.meeting, [...(held.get(s.meeting) ?? []), p.lessonId])
  return held
}

function workEvents(w: EventWork, classId: ClassId, className: string): CalendarEvent[] {
  const at = (kind: 'opens' | 'due', moment: Instant | null): CalendarEvent[] =>
    moment === null
      ? []
      : [
          {
            uid: `w-${w.id}-${classId}-${kind}@${HOST}`,
            title: `${className}: ${w.title} ${kind}${w.held ? ' (not yet published)' : ''}`,
            about: '',
            cancelled: false,
            startsAt: (kind === 'due' ? moment - POINT_MS : moment) as Instant,
            endsAt: (kind === 'due' ? moment : moment + POINT_MS) as Instant,
          },
        ]
  return [...at('opens', w.opensAt), ...at('due', w.dueAt)]
}

/**
 * Prints events as an iCalendar file (RFC 5545). Times are in UTC, so that every program shows them right in
 * its own zone.
 * @param revision grows with every change, so that programs which imported an earlier file take the newer
 * event.
 */
export function printCalendar(
  name: string,
  events: readonly CalendarEvent[],
  now: Instant,
  revision: number,
): string {
  const root = new ICAL.Component(['vcalendar', [], []])
  root.updatePropertyWithValue('prodid', '-//Step Cairn//Pacing calendar//EN')
  root.updatePropertyWithValue('version', '2.0')
  root.updatePropertyWithValue('calscale', 'GREGORIAN')
  root.updatePropertyWithValue('method', 'PUBLISH')
  root.updatePropertyWithValue('name', name)
  root.updatePropertyWithValue('x-wr-calname', name)
  for (const e of events) {
    const event = new ICAL.Component('vevent')
    event.updatePropertyWithValue('uid', e.uid)
    event.updatePropertyWithValue('dtstamp', utc(now))
    event.updatePropertyWithValue('dtstart', utc(e.startsAt))
    event.updatePropertyWithValue('dtend', utc(e.endsAt))
    event.updatePropertyWithValue('summary', e.title)
    if (e.about) event.updatePropertyWithValue('description', e.about)
    event.updatePropertyWithValue('sequence', revision)
    event.updatePropertyWithValue('status', e.cancelled ? 'CANCELLED' : 'CONFIRMED')
    root.addSubcomponent(event)
  }
  return `${root.toString()}\r\n`
}

/** An instant in UTC, to the second. */
function utc(at: Instant): ICAL.Time {
  const time = ICAL.Time.epochTime.clone()
  time.fromUnixTime(Math.floor(at / 1000))
  return time
}
