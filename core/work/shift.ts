import { withWindow } from '../availability'
import type { Anchor, Ground, Moment, WindowSpec } from '../availability'
import { addDays, ok, refuse, same } from '../base'
import type { ClassId, IsoDay, Result } from '../base'
import { namedClasses } from './classWindows'
import type { WhereTargetsAre } from './part'
import type { WorkRefusal } from './refusals'
import type { AssignmentTarget, Draft, WorkPiece } from './types'

type MeetingDays = readonly Pick<Ground['meetings'][number], 'on'>[]
/** What of a class's ground is needed to count on along its meetings. */
export interface ShiftGround extends Pick<Ground, 'extents'> {
  readonly meetings: MeetingDays
}

/**
 * A day so many meetings later (below 0: earlier): the day of the n-th meeting after it. Null when there are not so
 * many.
 */
export function dayByMeetings(on: IsoDay, by: number, meetings: MeetingDays): IsoDay | null {
  if (by === 0) return on
  const days = [...new Set(meetings.map((m) => m.on))].sort()
  const beyond = by > 0 ? days.filter((d) => d > on) : days.filter((d) => d < on).reverse()
  return beyond[Math.abs(by) - 1] ?? null
}

/**
 * All moments of a draft so many meetings later. Those that hang on a lesson move along it, or by days where they
 * count days: to the day that lies so many of the class's meetings on. Where an absolute day means another one in
 * each class, each class gets its own. Refused when that would leave a class's year.
 */
export function shifted(
  draft: Draft,
  by: number,
  grounds: ReadonlyMap<ClassId, ShiftGround>,
  where: WhereTargetsAre,
): Result<Draft, WorkRefusal> {
  if (by === 0) return ok(draft)
  const past = refuse({ code: 'work/past-the-year' as const, field: 'window' as const, title: draft.title })
  const classIds = namedClasses(draft)
  const of = (id: ClassId | undefined) => (id === undefined ? undefined : grounds.get(id))
  const home = of(classIds[0] ?? homeOf(draft.targets[0], where))
  const window = movedWindow(draft.window, by, home)
  if (window === null) return past
  const targets: AssignmentTarget[] = []
  for (const target of draft.targets) {
    const ground = of(homeOf(target, where)) ?? home
    const own = movedWindow(target.overrides.window ?? {}, by, ground)
    const asShared = movedWindow(draft.window, by, ground)
    if (own === null || asShared === null) return past
    const isClass = target.target.kind === 'class'
    const differs = isClass ? { ...differing(asShared, window), ...own } : own
    targets.push({ ...target, overrides: withWindow(target.overrides, differs) })
  }
  const pieces: WorkPiece[] = []
  for (const piece of draft.pieces) {
    const own = movedWindow(piece.window, by, home)
    if (own === null) return past
    pieces.push({ ...piece, window: own })
  }
  return ok({ ...draft, window: { ...draft.window, ...window }, targets, pieces })
}

/** Moments that are not the shared ones. */
function differing(window: Partial<WindowSpec>, shared: Partial<WindowSpec>): Partial<WindowSpec> {
  const fields = Object.keys(window) as (keyof WindowSpec)[]
  return Object.fromEntries(fields.filter((f) => !same(window[f], shared[f])).map((f) => [f, window[f]]))
}

/** Null when one of the moments would leave the year. */
function movedWindow(
  window: Partial<WindowSpec>,
  by: number,
  ground: ShiftGround | undefined,
): Partial<WindowSpec> | null {
  const moved: [string, Moment | null][] = []
  for (const [field, moment] of Object.entries(window)) {
    const next = moment === null ? null : movedMoment(moment, by, ground)
    if (next === undefined) return null
    moved.push([field, next])
  }
  return Object.fromEntries(moved)
}

function movedMoment(moment: Moment, by: number, ground: ShiftGround | undefined): Moment | undefined {
  if (moment.kind === 'anchor') return movedAnchor(moment, by, ground)
  if (moment.kind === 'meeting' && moment.count + by >= 1) return { ...moment, count: moment.count + by }
  const on = ground ? dayByMeetings(moment.on, by, ground.meetings) : null
  return on === null ? undefined : { ...moment, on }
}

/** One that counts days comes to count meetings: to the one on which it then lies. */
function movedAnchor(anchor: Anchor, by: number, ground: ShiftGround | undefined): Anchor | undefined {
  if (anchor.step === 'meetings' || anchor.offset === 0)
    return { ...anchor, step: 'meetings', offset: anchor.offset + by }
  const extent = ground?.extents?.get(anchor.lessonId)
  if (!ground || !extent) return undefined
  const edge = anchor.edge === 'first' ? extent.first : extent.last
  const from = ground.meetings[edge]?.on
  const on = from && dayByMeetings(addDays(from, anchor.offset), by, ground.meetings)
  if (!on) return undefined
  const index = ground.meetings.findIndex((m) => m.on === on)
  return { ...anchor, step: 'meetings', offset: index - edge }
}

function homeOf(target: AssignmentTarget | undefined, where: WhereTargetsAre): ClassId | undefined {
  if (target === undefined) return undefined
  const { target: to } = target
  switch (to.kind) {
    case 'class':
      return to.classId
    case 'group':
      return where.groups.get(to.groupId)?.classId
    case 'learner':
      return where.learners.get(to.learnerId)?.[0]
  }
}
