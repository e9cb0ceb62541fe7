import { ok } from '#core/base'
import type { ClassId, Instant, IsoDay, Result } from '#core/base'
import type { AccessRefusal, Teacher } from '#core/access'
import { schoolDays, meetings, zoneOf } from '#core/calendar'
import type { ClassCalendar, SchoolYear, Zone } from '#core/calendar'
import { extentsOf, heldIn, layOut, withHeld } from '#core/pacing'
import type { Layout, Plan } from '#core/pacing'
import type { Ground } from '#core/availability'
import { plansById, yearsById } from '#db/repositories'
import type { ClassRecord, Connection } from '#db/repositories'
import { classFor } from './classAccess'

/** A class with its calendar, its plan laid out, and the ground its anchors stand on. */
export interface ClassGround {
  readonly record: ClassRecord
  readonly year: SchoolYear
  readonly plan: Plan | null
  readonly calendar: ClassCalendar
  readonly layout: Layout | null
  readonly ground: Ground
  readonly schoolDays: readonly {
    readonly on: IsoDay
    readonly startsAt: Instant
    readonly endsAt: Instant
  }[]
}

/** Computes calendars and layouts of classes; years and plans are loaded once for all. */
export async function groundsOf(
  tx: Connection,
  records: readonly ClassRecord[],
): Promise<ReadonlyMap<ClassId, ClassGround>> {
  const years = await yearsById(
    tx,
    records.map((r) => r.yearId),
  )
  const plans = await plansById(
    tx,
    records.flatMap((r) => (r.planId === null ? [] : [r.planId])),
  )
  const zones = new Map<string, Zone>()
  const days = new Map<SchoolYear, ClassGround['schoolDays']>()
  const out = new Map<ClassId, ClassGround>()
  for (const record of records) {
    const year = years.get(record.yearId)?.year
    if (!year) throw new Error('class without a school year')
    const zone = zones.get(year.zone) ?? zoneOf(year.zone)
    zones.set(year.zone, zone)
    if (!days.has(year)) days.set(year, instructionalDays(year, zone))
    const plan = record.planId === null ? null : (plans.get(record.planId)?.plan ?? null)
    const planned = meetings(year, record.id, record.pattern, record.pacing.changes, zone)
    const calendar = withHeld(planned, heldIn(record.pacing), zone)
    const layout = plan ? layOut(plan, calendar.meetings, { pacing: record.pacing, terms: year.terms }) : null
    const ground: Ground = {
      zone,
      firstOn: year.firstOn,
      lastOn: year.lastOn,
      meetings: calendar.meetings,
      extents: layout ? extentsOf(layout) : null,
    }
    out.set(record.id, { record, year, plan, calendar, layout, ground, schoolDays: days.get(year) ?? [] })
  }
  return out
}

/** A class that the actor may see, or change, with its calendar and layout. */
export async function groundFor(
  tx: Connection,
  actor: Teacher,
  classId: ClassId,
  act: 'run' | 'see',
): Promise<Result<ClassGround, AccessRefusal>> {
  const found = await classFor(tx, actor, classId, act)
  if (!found.ok) return found
  const ground = (await groundsOf(tx, [found.value])).get(classId)
  if (!ground) throw new Error('a class without its ground')
  return ok(ground)
}

function instructionalDays(year: SchoolYear, zone: Zone): ClassGround['schoolDays'] {
  return schoolDays(year)
    .filter((d) => d.closedBy === null)
    .map((d) => ({ on: d.on, startsAt: zone.at(d.on, 0), endsAt: zone.at(d.on, 1440) }))
}
