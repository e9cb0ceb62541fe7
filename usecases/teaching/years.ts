import { asId, ok, refuse } from '#core/base'
import type { ComputeRefusal, IsoDay, Result, YearId } from '#core/base'
import { canEditYear } from '#core/access'
import type { AccessRefusal, Teacher } from '#core/access'
import { checkYear, isZone } from '#core/calendar'
import type { CalendarRefusal, SchoolYear } from '#core/calendar'
import type { ClosureReading, FormatRefusal } from '#core/formats'
import { addYear } from '#db/repositories'
import type { Deps } from '../ground/deps'

/** Adds a school year. */
export async function makeYear(
  deps: Deps,
  actor: Teacher,
  input: Omit<SchoolYear, 'id'>,
): Promise<Result<{ readonly yearId: YearId }, AccessRefusal | CalendarRefusal>> {
  if (!canEditYear(actor, actor.schoolId)) return refuse({ code: 'access/denied' })
  const year = checkYear({ id: asId<YearId>(deps.ids.newId()), ...input })
  if (!year.ok) return year
  await deps.store.write((tx) => addYear(tx, year.value, actor.schoolId))
  return ok({ yearId: year.value.id })
}

/** Dry run of an .ics file of closures. */
export async function readClosures(
  deps: Deps,
  actor: Teacher,
  input: { readonly text: string; readonly firstOn: IsoDay; readonly lastOn: IsoDay; readonly zone: string },
): Promise<Result<ClosureReading, AccessRefusal | CalendarRefusal | FormatRefusal | ComputeRefusal>> {
  const { text, firstOn, lastOn, zone } = input
  if (!isZone(zone)) return refuse({ code: 'calendar/unknown-zone', field: 'zone', zone })
  const read = await deps.heavy.run('closures', text, { firstOn, lastOn, zone })
  return read.ok ? read.value : read
}
