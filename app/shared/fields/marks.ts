import { daysThrough } from '#core/base'
import type { IsoDay } from '#core/base'
import type { ClassCalendar, SchoolYear } from '#core/calendar'
import type { DayMarks } from './DayField.vue'

/** What a calendar marks for a school year, and for one class of it. */
export function marksOf(
  year: Pick<SchoolYear, 'notes'> | null,
  calendar: ClassCalendar | null = null,
): DayMarks {
  const closures = new Map<IsoDay, string>()
  for (const note of year?.notes ?? [])
    if (note.kind === 'closure' && note.classIds.length === 0)
      for (const on of daysThrough(note.fromOn, note.throughOn)) closures.set(on, note.name)
  return calendar ? { closures, meetings: [...new Set(calendar.meetings.map((m) => m.on))] } : { closures }
}
