import type { AssignmentId, ClassId, LessonId, UserId } from '../base'
import { groupBy } from '../base'
import { movedWindows } from '../availability'
import type { Ground, MovedWindow } from '../availability'
import { meetings, zoneOf } from '../calendar'
import type { ClassCalendar } from '../calendar'
import { extentsOf, heldIn, ripple, singlesOf, withHeld, yearOf } from '../pacing'
import type { ClassSide, Layout, PacingCommand, PacingState, RippleWay } from '../pacing'
import { windowsOfClass } from '../work'
import type { Assignment } from '../work'

/** Everything from which the ways out of a change are computed; plain values, so that a worker can have it. */
export interface RippleQuestion {
  readonly change: PacingCommand
  readonly before: PacingState
  readonly after: PacingState
  /** The classes reached, in the order of the answer. */
  readonly classIds: readonly ClassId[]
  readonly work: readonly Assignment[]
  readonly rosters: ReadonlyMap<ClassId, ReadonlySet<UserId>>
  readonly begun: ReadonlyMap<AssignmentId, ReadonlySet<UserId>>
}
export type ClassRipple = ReturnType<typeof rippleOf>

/** The ways out of a change for every class it reaches, with the work that each would move. */
export function ripplesOf(question: RippleQuestion): readonly ClassRipple[] {
  return question.classIds.map((classId) => rippleOf(classId, question))
}

/** The lesson that a change of one class is about. */
function changedLesson(change: PacingCommand, classId: ClassId): LessonId | null {
  const about = singlesOf(change).find(
    (c) => (c.kind === 'length' || c.kind === 'lesson') && c.classId === classId,
  )
  return about && 'lessonId' in about ? about.lessonId : null
}

interface OneClass {
  readonly side: ClassSide
  readonly calendar: ClassCalendar
  readonly ground: (layout: Layout) => Ground
}

function classAt(state: PacingState, classId: ClassId): OneClass {
  const of = state.classes.get(classId)
  const plan = of?.planId ? state.plans.get(of.planId) : undefined
  if (!of || !plan) throw new Error('ripple through a class without a plan')
  const year = yearOf(state)
  const zone = zoneOf(year.zone)
  const planned = meetings(year, classId, of.pattern, of.pacing.changes, zone)
  const calendar = withHeld(planned, heldIn(of.pacing), zone)
  return {
    calendar,
    side: { plan, pacing: of.pacing, calendar, terms: year.terms },
    ground: (layout) => ({
      zone,
      firstOn: year.firstOn,
      lastOn: year.lastOn,
      meetings: calendar.meetings,
      extents: extentsOf(layout),
    }),
  }
}

function rippleOf(classId: ClassId, { change, before, after, work, rosters, begun }: RippleQuestion) {
  const [was, now] = [classAt(before, classId), classAt(after, classId)]
  const got = ripple(classId, was.side, now.side, changedLesson(change, classId))
  const roster = rosters.get(classId) ?? new Set()
  const here = work
    .filter((w) => w.targets.some((t) => t.target.kind === 'class' && t.target.classId === classId))
    .flatMap((w) => windowsOfClass(w, classId).map((spec) => ({ id: w.id, spec })))
  const titles = new Map(work.map((w) => [w.id, w.title]))
  const hasBegun = (id: AssignmentId) => [...(begun.get(id) ?? [])].some((learner) => roster.has(learner))
  const oldGround = was.ground(got.before)
  const workOf = ({ layout }: RippleWay) => {
    const moved = groupBy(movedWindows(here, oldGround, now.ground(layout)), (m) => m.id)
    // of several pieces that move, the first one stands for the work
    return [...moved].flatMap(([id, [m]]) => (m ? workMoved(m, titles.get(id) ?? '', hasBegun(id)) : []))
  }
  return {
    classId,
    lostMeetings: got.lostMeetings,
    ways: got.ways.map((w) => ({
      way: w.way,
      commands: w.commands,
      consequence: w.consequence,
      work: workOf(w),
    })),
  }
}

function workMoved({ id, before, after }: MovedWindow<AssignmentId>, title: string, begun: boolean) {
  return {
    assignmentId: id,
    title,
    begun,
    opensAt: before.opens,
    dueAt: before.due,
    newOpensAt: after?.opens ?? null,
    newDueAt: after?.due ?? null,
    stuck: after === null,
  }
}
