import { isoDay } from '#core/base'
import type { IsoDay } from '#core/base'
import type { DayNote, SchoolYear } from '#core/calendar'
import type { FoundClosure } from '#core/formats'

/**
 * A year such as most schools have, beginning in the August before or after `today`; without letters or
 * closures.
 */
export function proposedYear(today: IsoDay, zone: string): Omit<SchoolYear, 'id' | 'rotation'> {
  const start = Number(today.slice(0, 4)) - (today.slice(5) < '05-01' ? 1 : 0)
  const [firstOn, lastOn] = [isoDay(`${start}-08-24`), isoDay(`${start + 1}-06-11`)]
  return {
    name: `${start}/${String(start + 1).slice(2)}`,
    zone,
    firstOn,
    lastOn,
    weekdays: [1, 2, 3, 4, 5],
    terms: [{ name: 'Whole year', firstOn, lastOn }],
    notes: [],
  }
}

/** A closure of one day of the whole school, or what `part` makes of it. */
export function aNote(id: string, on: IsoDay, part: Partial<DayNote> = {}): DayNote {
  return { id, kind: 'closure', name: 'Closed', fromOn: on, throughOn: on, classIds: [], ...part }
}

/** Notes with the closures that are not there yet, by date. */
export function withClosures(
  notes: readonly DayNote[],
  closures: readonly FoundClosure[],
  newId: () => string,
): readonly DayNote[] {
  const have = new Set(notes.map((n) => `${n.name} ${n.fromOn}`))
  const fresh = closures.filter((c) => !have.has(`${c.name} ${c.fromOn}`))
  const added = fresh.map((c) => aNote(newId(), c.fromOn, { ...c, name: c.name.slice(0, 80) }))
  return [...notes, ...added].sort((a, b) => (a.fromOn < b.fromOn ? -1 : 1))
}
