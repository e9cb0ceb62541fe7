import { dayNumber, isoDay, ok, refuse } from '../base'
import type { Result } from '../base'
import { schoolDays } from './dayLetters'
import type { CalendarRefusal } from './refusals'
import type { PatternRow, SchoolYear } from './types'
import { isZone } from './zone'

const MOST_DAYS = 550
/** A year outside is mistyped: 0206, 9998. */
const RANGE = { fromOn: isoDay('2000-01-01'), throughOn: isoDay('2099-12-31') }

/**
 * Accepts a school year whose parts agree with each other, its notes by date, or names the first thing to
 * correct.
 */
export function checkYear(year: SchoolYear): Result<SchoolYear, CalendarRefusal> {
  const { firstOn, lastOn } = year
  for (const field of ['firstOn', 'lastOn'] as const)
    if (year[field] < RANGE.fromOn || year[field] > RANGE.throughOn)
      return refuse({ code: 'calendar/year-out-of-range', field, on: year[field], ...RANGE })
  const days = dayNumber(lastOn) - dayNumber(firstOn) + 1
  if (days < 1) return refuse({ code: 'calendar/year-ends-before-start', field: 'lastOn', firstOn, lastOn })
  if (days > MOST_DAYS)
    return refuse({ code: 'calendar/year-too-long', field: 'lastOn', days, most: MOST_DAYS })
  if (!isZone(year.zone)) return refuse({ code: 'calendar/unknown-zone', field: 'zone', zone: year.zone })
  if (year.weekdays.length === 0) return refuse({ code: 'calendar/no-weekdays', field: 'weekdays' })
  for (const note of year.notes)
    if (note.throughOn < note.fromOn)
      return refuse({ code: 'calendar/note-ends-before-start', field: 'notes', name: note.name })
  const badTerm = checkTerms(year) ?? checkRotation(year)
  if (badTerm) return refuse(badTerm)
  if (!schoolDays(year).some((d) => d.closedBy === null))
    return refuse({ code: 'calendar/no-instructional-days', field: 'notes' })
  return ok(inOrder(year))
}

/**
 * A year with its day notes by date: one order, so that the same notes are the same year whoever added them
 * when.
 */
export function inOrder(year: SchoolYear): SchoolYear {
  return {
    ...year,
    notes: [...year.notes].sort((a, b) =>
      a.fromOn < b.fromOn ? -1 : a.fromOn > b.fromOn ? 1 : a.id < b.id ? -1 : 1,
    ),
  }
}

function checkTerms(year: SchoolYear): CalendarRefusal | null {
  for (const [i, term] of year.terms.entries()) {
    if (term.lastOn < term.firstOn)
      return { code: 'calendar/term-ends-before-start', field: 'terms', name: term.name }
    if (term.firstOn < year.firstOn || term.lastOn > year.lastOn)
      return { code: 'calendar/term-outside-year', field: 'terms', name: term.name }
    const before = year.terms[i - 1]
    if (before && term.firstOn <= before.lastOn)
      return { code: 'calendar/terms-overlap', field: 'terms', first: before.name, second: term.name }
  }
  return null
}

function checkRotation(year: SchoolYear): CalendarRefusal | null {
  if (!year.rotation) return null
  const { labels, overrides } = year.rotation
  const twice = labels.find((l, i) => labels.indexOf(l) !== i || l.trim() === '')
  if (labels.length < 1 || labels.length > 10 || twice !== undefined)
    return { code: 'calendar/bad-rotation', field: 'rotation', label: twice ?? '' }
  const unknown = overrides.find((o) => !labels.includes(o.label))
  return unknown ? { code: 'calendar/bad-rotation', field: 'rotation', label: unknown.label } : null
}

/** Accepts a meeting pattern that fits the year, or names the first row to correct. */
export function checkPattern(
  year: SchoolYear,
  pattern: readonly PatternRow[],
): Result<readonly PatternRow[], CalendarRefusal> {
  if (pattern.length === 0) return refuse({ code: 'calendar/no-meetings', field: 'pattern' })
  for (const row of pattern) {
    if (
      !Number.isInteger(row.minutes) ||
      row.minutes < 5 ||
      row.startMinute < 0 ||
      row.startMinute + row.minutes > 1440
    )
      return refuse({ code: 'calendar/bad-meeting-minutes', field: 'pattern', minutes: row.minutes })
    const { fromOn, throughOn } = row
    if (fromOn !== undefined && throughOn !== undefined && throughOn < fromOn)
      return refuse({ code: 'calendar/meeting-ends-before-start', field: 'pattern', fromOn, throughOn })
    if ('label' in row.day && !year.rotation?.labels.includes(row.day.label))
      return refuse({ code: 'calendar/unknown-label', field: 'pattern', label: row.day.label })
  }
  const nameOf = (row: PatternRow) => ('label' in row.day ? row.day.label : String(row.day.weekday))
  for (const [i, a] of pattern.entries()) {
    for (const b of pattern.slice(i + 1)) {
      const sameTime = a.startMinute < b.startMinute + b.minutes && b.startMinute < a.startMinute + a.minutes
      const sameDates = (a.fromOn ?? '') <= (b.throughOn ?? '9') && (b.fromOn ?? '') <= (a.throughOn ?? '9')
      if (nameOf(a) === nameOf(b) && sameTime && sameDates)
        return refuse({
          code: 'calendar/meetings-overlap',
          field: 'pattern',
          day: nameOf(b),
          startMinute: b.startMinute,
        })
    }
  }
  return ok(pattern)
}
