import type { ClassId, LessonId } from '../../base'
import type { ClassCalendar, Term } from '../../calendar'
import { WAYS } from '../command'
import type { ClassCommand, Way } from '../command'
import { courseOf, layCourse, reachesOf } from '../layout'
import type { LayablePlan, Layout } from '../layout'
import type { ClassPacing } from '../plan'
import { inHalves } from '../track'
import { commandsBetween, comparer } from './consequence'
import type { Consequence } from './consequence'
import { hold } from './variants/hold'
import { letGo } from './variants/letGo'
import { pushOn } from './variants/pushOn'
import { tighten } from './variants/tighten'
import { useSlack } from './variants/useSlack'
import type { Bitten, Side, WayOut } from './variants/wayOut'

const WAY_OUT = {
  'push-on': pushOn,
  'use-slack': useSlack,
  tighten: tighten,
  'let-go': letGo,
  hold: hold,
} satisfies Record<Way, WayOut>

/** One class at one side of a change. */
export interface ClassSide {
  readonly plan: LayablePlan
  readonly pacing: ClassPacing
  readonly calendar: ClassCalendar
  readonly terms: readonly Term[]
}

/** A way out with everything it would do to one class. */
export interface RippleWay {
  readonly way: Way
  /** What has to be done beside the change itself. */
  readonly commands: readonly ClassCommand[]
  readonly pacing: ClassPacing
  readonly layout: Layout
  readonly consequence: Consequence
}

/** The ripple of a change through one class: its layout before, and every way out. */
export interface Ripple {
  readonly classId: ClassId
  readonly before: Layout
  readonly lostMeetings: number
  readonly ways: readonly RippleWay[]
}

/**
 * What a change does to a class, for each of the five ways out. Nothing is applied: a way's commands, done
 * after the change, give exactly its layout.
 * @param changed the lesson the change is about, if it is about one.
 */
export function ripple(
  classId: ClassId,
  before: ClassSide,
  after: ClassSide,
  changed: LessonId | null = null,
): Ripple {
  const [from, to] = [sideOf(before), sideOf(after)]
  const bitten = bite(from, to, changed)
  const compare = comparer({ ...from, calendar: before.calendar })
  const ways = WAYS.map((way): RippleWay => {
    const pacing = bitten ? WAY_OUT[way](bitten) : after.pacing
    const side = pacing === after.pacing ? to : sideOf({ ...after, pacing })
    return {
      way,
      pacing,
      layout: side.layout,
      commands: commandsBetween(classId, after.pacing, pacing),
      consequence: compare({ ...side, calendar: after.calendar }, after.pacing),
    }
  })
  return {
    classId,
    before: from.layout,
    lostMeetings: before.calendar.meetings.length - after.calendar.meetings.length,
    ways,
  }
}

function sideOf({ plan, pacing, calendar, terms }: ClassSide): Side {
  const course = courseOf(plan, calendar.meetings, pacing, { terms })
  return { pacing, course, layout: layCourse(course, pacing) }
}

/** Where the change bites: the first lesson that lies elsewhere than before; null when nothing moves. */
function bite(before: Side, after: Side, changed: LessonId | null): Bitten | null {
  const was = new Map(
    before.layout.placements.map((p) => [p.lessonId, placeKey(p.placed ? p.slots : null, before)]),
  )
  const now = new Map(
    after.layout.placements.map((p) => [p.lessonId, placeKey(p.placed ? p.slots : null, after)]),
  )
  const { items } = after.course
  const first = items.findIndex(({ lesson: { id } }) => id !== changed && was.get(id) !== now.get(id))
  if (first < 0) return null
  const reaches = reachesOf(after.course)
  const id = items[first]?.lesson.id as LessonId
  const reach = reaches.find((r) => r.lessonIds.includes(id))
  if (!reach) return null
  const old = reachesOf(before.course).find((r) => r.lessonIds.includes(id))
  // a stretch that closes with its fixed lesson keeps its slack in front of that lesson
  const closing =
    reach.upTo !== null && reach.lessonIds.includes(reach.upTo)
      ? items.findIndex((i) => i.lesson.id === reach.upTo)
      : -1
  const behind =
    closing >= 0
      ? closing
      : items.findIndex((i) => i.lesson.id === reach.lessonIds[reach.lessonIds.length - 1]) + 1
  const to = closing > 0 ? (after.course.limits[closing - 1]?.at ?? reach.to) : reach.to
  return {
    before,
    after,
    changed,
    first,
    to,
    behind,
    slackBeforeHalves: Math.max(0, old?.slackHalves ?? 0),
    extraHalves: Math.max(0, needOf(after, changed) - needOf(before, changed)),
  }
}

function needOf({ course }: Side, id: LessonId | null): number {
  const item = course.items.find((i) => i.lesson.id === id)
  return item ? inHalves(course.track, item, 0) : 0
}

function placeKey(
  slots: readonly { readonly meeting: number; readonly halves: number }[] | null,
  { course }: Side,
): string {
  if (slots === null) return '-'
  const places = slots.map((s) => {
    const meeting = course.track.meetings[s.meeting]
    return `${meeting?.on ?? ''} ${meeting?.startMinute}:${s.halves}`
  })
  return places.join(' ')
}
