import type { IsoDay, LessonId } from '#core/base'
import { meetings } from '#core/calendar'
import type { ClassCalendar, SchoolYear } from '#core/calendar'
import { extentsOf, layOut, weekCells } from '#core/pacing'
import type { Layout, Plan, PlanLesson, WeekCell } from '#core/pacing'
import type { DeskClass } from '#shared/contracts/pacing'
import { zoneNamed } from '../words/times'

/** One class on the desk with its calendar and layout. */
export interface DeskColumn {
  readonly of: DeskClass
  readonly plan: Plan | null
  readonly calendar: ClassCalendar
  readonly layout: Layout | null
  readonly extents: ReadonlyMap<LessonId, { readonly first: number, readonly last: number }>
  readonly weeks: ReadonlyMap<IsoDay, WeekCell>
  readonly lessons: ReadonlyMap<LessonId, PlanLesson>
  /** Which tint a lesson's unit has, 1 to 8. */
  readonly tints: ReadonlyMap<LessonId, number>
  readonly widestHalves: number
}

/** Lays a class's plan onto its meetings with the same core as the server. */
export function columnOf(of: DeskClass, year: SchoolYear | null, plan: Plan | null): DeskColumn {
  const calendar = year ? meetings(year, of.id, of.pattern, of.pacing.changes, zoneNamed(year.zone)) : { meetings: [], lost: [] }
  const layout = plan ? layOut(plan, calendar.meetings, of.pacing.lengths) : null
  const weeks = weekCells(calendar, layout)
  const unitAt = new Map(plan?.units.map((u, i) => [u.id, i]))
  return {
    of, plan, calendar, layout, weeks,
    extents: layout ? extentsOf(layout) : new Map(),
    lessons: new Map(plan?.lessons.map(l => [l.id, l])),
    tints: new Map(plan?.lessons.map(l => [l.id, ((unitAt.get(l.unitId) ?? 0) % 8) + 1])),
    widestHalves: Math.max(2, ...[...weeks.values()].map(w => w.halves)),
  }
}
