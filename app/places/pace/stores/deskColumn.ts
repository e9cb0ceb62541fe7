import type { IsoDay, LessonId } from '#core/base'
import { meetings } from '#core/calendar'
import type { ClassCalendar, SchoolYear } from '#core/calendar'
import {
  act,
  driftOn,
  extentsOf,
  heldIn,
  layOut,
  sequenceOf,
  singlesOf,
  weekCells,
  withHeld,
  withoutPlace,
} from '#core/pacing'
import type { Layout, PacingState, Plan, PlanLesson, WeekCell, PacingCommand } from '#core/pacing'
import type { Desk, DeskClass } from '#shared/contracts/pacing'
import { zoneNamed } from '~/shared/words/times'

/** One class on the desk with its calendar and layout. */
export interface DeskColumn {
  readonly of: DeskClass
  readonly year: SchoolYear | null
  readonly plan: Plan | null
  readonly calendar: ClassCalendar
  readonly layout: Layout | null
  /** The class's lessons in its own order. */
  readonly sequence: readonly PlanLesson[]
  readonly extents: ReadonlyMap<LessonId, { readonly first: number; readonly last: number }>
  readonly weeks: ReadonlyMap<IsoDay, WeekCell>
  readonly lessons: ReadonlyMap<LessonId, PlanLesson>
  /** Which tint a lesson's unit has, 1 to 8. */
  readonly tints: ReadonlyMap<LessonId, number>
  readonly widestHalves: number
  readonly unplaced: readonly LessonId[]
}

/** Lays a class's plan onto its meetings with the same core as the server. */
export function columnOf(of: DeskClass, year: SchoolYear | null, plan: Plan | null): DeskColumn {
  const calendar = year ? calendarOf(of, year) : { meetings: [], lost: [] }
  const layout =
    plan && year ? layOut(plan, calendar.meetings, { pacing: of.pacing, terms: year.terms }) : null
  const weeks = weekCells(calendar, layout)
  const unitAt = new Map(plan?.units.map((u, i) => [u.id, i]))
  const sequence = plan ? sequenceOf(plan, of.pacing) : []
  return {
    of,
    year,
    plan,
    calendar,
    layout,
    sequence,
    weeks,
    extents: layout ? extentsOf(layout) : new Map(),
    lessons: new Map(sequence.map((l) => [l.id, l])),
    tints: new Map(sequence.map((l) => [l.id, ((unitAt.get(l.unitId) ?? 0) % 8) + 1])),
    widestHalves: Math.max(2, ...[...weeks.values()].map((w) => Math.ceil(w.halves))),
    unplaced: layout ? withoutPlace(layout).map((p) => p.lessonId) : [],
  }
}

/** A class's meetings as its timetable and its record have them. */
function calendarOf(of: DeskClass, year: SchoolYear): ClassCalendar {
  const zone = zoneNamed(year.zone)
  const calendar = meetings(year, of.id, of.pattern, of.pacing.changes, zone)
  return withHeld(calendar, heldIn(of.pacing), zone)
}

/** A maker of columns that computes one anew only when its class, plan or year has changed. */
export function columnMaker(): (of: DeskClass, year: SchoolYear | null, plan: Plan | null) => DeskColumn {
  const known = new WeakMap<DeskClass, DeskColumn>()
  return (of, year, plan) => {
    const ready = known.get(of)
    if (ready && ready.year === year && ready.plan === plan) return ready
    const made = columnOf(of, year, plan)
    known.set(of, made)
    return made
  }
}

/** Drift of a class at the end of a day in meetings; null without a baseline. */
export function driftOf(column: DeskColumn, on: IsoDay): number | null {
  const { baseline } = column.of.pacing
  return baseline && column.layout ? driftOn(baseline, column.layout, column.calendar.meetings, on) : null
}

/** What the core's planning acts work on. */
export function stateOf(desk: Desk & { readonly year: SchoolYear }): PacingState {
  return {
    year: desk.year,
    plans: new Map(desk.plans.map((p) => [p.id, p])),
    classes: new Map(desk.classes.map((c) => [c.id, c])),
  }
}

/** The desk after a planning act; classes that stay the same keep their identity. */
export function deskWith(desk: Desk, next: PacingState): Desk {
  const classes = desk.classes.map((c) => {
    const { pacing, pattern } = next.classes.get(c.id) ?? c
    return pacing !== c.pacing || pattern !== c.pattern ? { ...c, pacing, pattern } : c
  })
  return { ...desk, year: next.year, plans: desk.plans.map((p) => next.plans.get(p.id) ?? p), classes }
}

/**
 * The desk as it would be after an act; null when the core refuses it, or when it reaches a class that is not
 * here.
 */
export function deskAfter(desk: Desk | null, command: PacingCommand): Desk | null {
  const isHere = new Set(desk?.classes.map((c) => c.id))
  if (!desk?.year || singlesOf(command).some((c) => 'classId' in c && !isHere.has(c.classId))) return null
  const next = act(stateOf({ ...desk, year: desk.year }), command)
  return next.ok ? deskWith(desk, next.value) : null
}
