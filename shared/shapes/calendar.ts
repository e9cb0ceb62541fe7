import { z } from 'zod'
import type { ClassId, YearId } from '#core/base'
import { DAY_NOTE_KINDS, FREE_TIMES } from '#core/calendar'
import type { DayNote, MeetingChange, PatternRow, SchoolYear } from '#core/calendar'
import { day, id, weekday } from './makers'
import type { Makers } from './makers'

/** School years, patterns and meeting changes. */
export function calendarShapes(m: Makers) {
  const minuteOfDay = m.whole(0, 1439)
  const dayNote = m.object({
    id: m.line(64),
    kind: z.enum(DAY_NOTE_KINDS),
    name: m.line(80),
    fromOn: day,
    throughOn: day,
    classIds: m.list(id<ClassId>(), 200),
    factorRatio: m.number(0.1, 1).optional(),
    minutes: m.whole(5, 600).optional(),
    fromMinute: m.whole(0, 1440).optional(),
    untilMinute: m.whole(0, 1440).optional(),
  }) satisfies z.ZodType<DayNote>

  const yearFields = {
    name: m.line(60),
    zone: m.line(60),
    firstOn: day,
    lastOn: day,
    weekdays: m.list(weekday, 7),
    terms: m.list(m.object({ name: m.line(40), firstOn: day, lastOn: day }), 12),
    notes: m.list(dayNote, 400),
    rotation: m
      .object({
        labels: m.list(m.line(6), 10),
        advance: z.enum(['instructional', 'date']),
        overrides: m.list(m.object({ on: day, label: m.line(6) }), 100),
      })
      .nullable(),
    wholeFromRatio: m.number(0.5, 1).optional(),
    freeTime: z.enum(FREE_TIMES).optional(),
  }
  const yearWithoutId = m.object(yearFields) satisfies z.ZodType<Omit<SchoolYear, 'id'>>
  const year = m.object({ id: id<YearId>(), ...yearFields }) satisfies z.ZodType<SchoolYear>

  const patternRow = m.object({
    day: z.union([m.object({ weekday }), m.object({ label: m.line(6) })]),
    startMinute: minuteOfDay,
    minutes: m.whole(5, 600),
    fromOn: day.optional(),
    throughOn: day.optional(),
  }) satisfies z.ZodType<PatternRow>

  const change = { on: day, startMinute: minuteOfDay, why: m.line(80) }
  const meetingChange = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('cancel'), ...change }),
    m.object({ kind: z.literal('add'), ...change, minutes: m.whole(5, 600) }),
    m.object({ kind: z.literal('minutes'), ...change, minutes: m.whole(5, 600) }),
  ]) satisfies z.ZodType<MeetingChange>

  return { dayNote, yearWithoutId, year, patternRow, meetingChange }
}
