import { asId, ok, refuse } from '#core/base'
import type { IsoDay, Result, YearId } from '#core/base'
import { canEditYear, isTeacher } from '#core/access'
import type { AccessRefusal, Actor } from '#core/access'
import { checkPattern, checkYear, isZone } from '#core/calendar'
import type { CalendarRefusal, SchoolYear } from '#core/calendar'
import { parseClosures } from '#core/formats'
import type { ClosureReading, FormatRefusal } from '#core/formats'
import { addYear, classesOfSchool, saveYear, yearsById } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { refreshWork } from '../work/refreshWork'

/** Adds a school year. */
export async function makeYear(deps: Deps, actor: Actor, input: Omit<SchoolYear, 'id'>): Promise<Result<{ readonly yearId: YearId }, AccessRefusal | CalendarRefusal>> {
  if (!canEditYear(actor, actor.schoolId)) return refuse({ code: 'access/denied' })
  const year = checkYear({ id: asId<YearId>(deps.ids.newId()), ...input })
  if (!year.ok) return year
  await deps.store.write(tx => addYear(tx, year.value, actor.schoolId))
  return ok({ yearId: year.value.id })
}

/** Replaces a year; all its classes are laid out anew and anchored work follows. Refused when a class's pattern uses a rotation letter that is gone, or the year changed meanwhile. */
export async function changeYear(deps: Deps, actor: Actor, input: { readonly yearId: YearId, readonly version: number, readonly year: Omit<SchoolYear, 'id'> }): Promise<Result<{ readonly stuck: readonly string[] }, AccessRefusal | CalendarRefusal>> {
  return writing(deps.store, async (tx): Promise<Result<{ readonly stuck: readonly string[] }, AccessRefusal | CalendarRefusal>> => {
    const known = (await yearsById(tx, [input.yearId])).get(input.yearId)
    if (!known || known.schoolId !== actor.schoolId || !isTeacher(actor)) return refuse({ code: 'access/not-found', what: 'school year' })
    if (!canEditYear(actor, known.schoolId)) return refuse({ code: 'access/denied' })
    if (known.version !== input.version) return refuse({ code: 'access/changed-meanwhile', field: 'version', seen: input.version, now: known.version })
    const year = checkYear({ id: input.yearId, ...input.year })
    if (!year.ok) return year
    const classes = (await classesOfSchool(tx, actor.schoolId)).filter(c => c.yearId === input.yearId)
    for (const { pattern } of classes) {
      const fits = checkPattern(year.value, pattern)
      if (!fits.ok) return fits
    }
    await saveYear(tx, year.value, input.version)
    const { stuck } = await refreshWork(tx, classes.map(c => c.id))
    return ok({ stuck })
  })
}

/** Dry run of an .ics file of closures. */
export async function readClosures(_deps: Deps, actor: Actor, input: { readonly text: string, readonly firstOn: IsoDay, readonly lastOn: IsoDay, readonly zone: string }): Promise<Result<ClosureReading, AccessRefusal | CalendarRefusal | FormatRefusal>> {
  if (!isTeacher(actor)) return refuse({ code: 'access/denied' })
  return isZone(input.zone) ? parseClosures(input.text, input) : refuse({ code: 'calendar/unknown-zone', field: 'zone', zone: input.zone })
}
