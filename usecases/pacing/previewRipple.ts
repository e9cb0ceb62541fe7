import { ok, refuse } from '#core/base'
import type { AssignmentId, ClassId, LessonId, Result, UserId } from '#core/base'
import { isTeacher } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { movedWindows } from '#core/availability'
import type { Ground } from '#core/availability'
import { meetings, zoneOf } from '#core/calendar'
import type { CalendarRefusal, ClassCalendar } from '#core/calendar'
import { act, checkOutcome, extentsOf, heldIn, ripple, singlesOf, withHeld } from '#core/pacing'
import type { ClassSide, Layout, PacingCommand, PacingRefusal, PacingState, RippleWay } from '#core/pacing'
import { assignmentIdsTouching, assignmentsById, begunBy, learnersOf } from '#db/repositories'
import { windowOfClass } from '#core/work'
import type { Assignment } from '#core/work'
import type { Deps } from '../deps'
import { classesInView } from '../teaching/classAccess'
import { loadPlanning } from './planningState'

/**
 * What a change would do to every class in view that it reaches, for each way out, anchored work included.
 * Changes nothing.
 */
export async function previewRipple(
  deps: Deps,
  actor: Actor,
  change: PacingCommand,
): Promise<
  Result<
    { readonly classes: readonly Awaited<ReturnType<typeof rippleOf>>[] },
    AccessRefusal | PacingRefusal | CalendarRefusal
  >
> {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' })
  const tx = deps.store.read
  const planning = await loadPlanning(tx, actor, change)
  if (!planning.ok) return planning
  const { state, classes } = planning.value
  const changed = act(state, change)
  if (!changed.ok) return changed
  const bad = checkOutcome(changed.value, change)
  if (bad) return refuse(bad)
  const inView = new Set((await classesInView(tx, actor)).map((c) => c.id))
  const reached = [...classes.values()]
    .filter((c) => inView.has(c.id) && c.planId !== null)
    .sort((a, b) => a.position - b.position)
  const work = (
    await assignmentsById(
      tx,
      await assignmentIdsTouching(
        tx,
        reached.map((c) => c.id),
      ),
    )
  ).filter((w) => w.state !== 'withdrawn')
  const begun = await begunBy(
    tx,
    work.map((w) => w.id),
  )
  const rosters = await learnersOf(
    tx,
    reached.map((c) => c.id),
  )
  const out = []
  for (const { id } of reached)
    out.push(
      rippleOf(
        id,
        state,
        changed.value,
        changedLesson(change, id),
        work,
        new Set((rosters.get(id) ?? []).map((l) => l.id)),
        begun,
      ),
    )
  return ok({ classes: out })
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
  const zone = zoneOf(state.year.zone)
  const planned = meetings(state.year, classId, of.pattern, of.pacing.changes, zone)
  const calendar = withHeld(planned, heldIn(of.pacing), zone)
  return {
    calendar,
    side: { plan, pacing: of.pacing, calendar, terms: state.year.terms },
    ground: (layout) => ({
      zone,
      firstOn: state.year.firstOn,
      lastOn: state.year.lastOn,
      meetings: calendar.meetings,
      extents: extentsOf(layout),
    }),
  }
}

function rippleOf(
  classId: ClassId,
  before: PacingState,
  after: PacingState,
  changed: LessonId | null,
  work: readonly Assignment[],
  roster: ReadonlySet<UserId>,
  begun: ReadonlyMap<AssignmentId, ReadonlySet<UserId>>,
) {
  const [was, now] = [classAt(before, classId), classAt(after, classId)]
  const got = ripple(classId, was.side, now.side, changed)
  const here = work
    .filter((w) => w.targets.some((t) => t.target.kind === 'class' && t.target.classId === classId))
    .map((w) => ({ id: w.id, title: w.title, spec: windowOfClass(w, classId) }))
  const hasBegun = (id: AssignmentId) => [...(begun.get(id) ?? [])].some((learner) => roster.has(learner))
  const oldGround = was.ground(got.before)
  const workOf = ({ layout }: RippleWay) =>
    movedWindows(here, oldGround, now.ground(layout)).map((m) => ({
      assignmentId: m.id,
      title: here.find((w) => w.id === m.id)?.title ?? '',
      begun: hasBegun(m.id),
      opensAt: m.before.opens,
      dueAt: m.before.due,
      newOpensAt: m.after?.opens ?? null,
      newDueAt: m.after?.due ?? null,
      stuck: m.after === null,
    }))
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
