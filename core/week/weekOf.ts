import { cardOfKind } from '../library'
import { addDays, mondayOf } from '../base'
import type { Instant, IsoDay } from '../base'
import type {
  LessonInWeek,
  Missing,
  WeekClass,
  WeekDay,
  WeekLesson,
  WeekMeeting,
  WeekMoment,
  WeekSums,
  WeekWork,
} from './types'

/** Lessons for which somebody has to prepare something. */
const TESTED: readonly WeekLesson['kind'][] = ['test', 'check']
const UNPREPARED: readonly WeekLesson['kind'][] = ['buffer', 'review']

/**
 * A week of a class, day by day from its Monday: meetings with their lessons and what these lack, and what opens, falls
 * due and closes.
 * @param dayOf the local day of a moment; one at the very end of a day, as windows end, counts for that day
 * @param now what was lacking for a meeting that has begun no longer helps anybody
 */
export function weekOf(
  of: WeekClass,
  mondayOn: IsoDay,
  { dayOf, now }: { readonly dayOf: (at: Instant) => IsoDay; readonly now: Instant },
): readonly WeekDay[] {
  const moments = of.works.flatMap((work) => momentsOf(work))
  return [0, 1, 2, 3, 4, 5, 6].map((n) => {
    const on = addDays(mondayOn, n)
    return {
      on,
      meetings: of.meetings.filter((m) => m.on === on).map((m) => ({ ...m, lessons: lessonsOn(m, of, now) })),
      lost: of.lost.filter((l) => l.on === on).map(({ because }) => ({ because })),
      moments: moments.filter((m) => dayOf(endingIn(m)) === on).sort((a, b) => a.at - b.at),
    }
  })
}

/** What ends at 00:00 ends with the day before. */
function endingIn({ what, at }: WeekMoment): Instant {
  return what === 'opens' ? at : ((at - 1) as Instant)
}

function momentsOf({ assignmentId, title, isHeld, window }: WeekWork): readonly WeekMoment[] {
  if (window === null) return []
  const { opens, due, closes } = window
  const moment = (what: WeekMoment['what'], at: Instant | null): readonly WeekMoment[] =>
    at === null ? [] : [{ assignmentId, title, what, at, isHeld }]
  // work that closes when it is due has one end
  return [
    ...moment('opens', opens),
    ...moment('due', due),
    ...(closes === due ? [] : moment('closes', closes)),
  ]
}

function lessonsOn(
  meeting: WeekMeeting,
  { lessons, works }: WeekClass,
  now: Instant,
): readonly LessonInWeek[] {
  return lessons
    .filter((l) => l.first <= meeting.index && meeting.index <= l.last)
    .map((lesson) => {
      const { id, number, title, kind, first, last } = lesson
      const nth = meeting.index - first + 1
      const missing = nth === 1 && meeting.startsAt > now ? missingFor(lesson, works) : []
      return { id, number, title, kind, nth, of: last - first + 1, missing }
    })
}

function missingFor(lesson: WeekLesson, works: readonly WeekWork[]): readonly Missing[] {
  const own = works.filter((w) => w.lessonIds.includes(lesson.id))
  const held = own
    .filter((w) => w.isHeld)
    .map(({ assignmentId, title }) => ({ code: 'held' as const, assignmentId, title }))
  const pages = own
    .filter((w) => w.kinds.some((kind) => cardOfKind(kind).isPrepared))
    .map(({ assignmentId, title }) => ({ code: 'to-print' as const, assignmentId, title }))
  if (own.length > 0 || UNPREPARED.includes(lesson.kind)) return [...held, ...pages]
  return [{ code: TESTED.includes(lesson.kind) ? 'no-test' : 'no-work' }]
}

/** The week in figures, over all classes; a meeting is ready when none of its lessons lacks anything. */
export function sumsOf(weeks: readonly (readonly WeekDay[])[]): WeekSums {
  const days = weeks.flat()
  const meetings = days.flatMap((d) => d.meetings)
  const notReady = meetings.filter((m) => m.lessons.some((l) => l.missing.length > 0)).length
  const moments = days.flatMap((d) => d.moments)
  const works = (what: WeekMoment['what']) => moments.filter((m) => m.what === what).length
  return {
    meetings: meetings.length,
    ready: meetings.length - notReady,
    notReady,
    opens: works('opens'),
    due: works('due'),
  }
}

/** Friday at four in the afternoon. */
const WEEK_OVER = { day: 4, minuteOfDay: 16 * 60 }

/** The Monday of the week that has to be ready: this one, and from Friday afternoon on the next. */
export function weekToPrepare({
  on,
  minuteOfDay,
}: {
  readonly on: IsoDay
  readonly minuteOfDay: number
}): IsoDay {
  const monday = mondayOf(on)
  const lastOn = addDays(monday, WEEK_OVER.day)
  const isOver = on > lastOn || (on === lastOn && minuteOfDay >= WEEK_OVER.minuteOfDay)
  return isOver ? addDays(monday, 7) : monday
}
