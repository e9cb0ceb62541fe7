import { z } from 'zod'
import { parseIsoDay } from '#core/base'
import type { ClassId, Instant, IsoDay, ItemId, LessonId, UnitId, Weekday } from '#core/base'
import { LEVELS } from '#core/audience'
import { DAY_NOTE_KINDS } from '#core/calendar'
import { ITEM_ORDERS, KEPT, LATE_PER, REVEALS } from '#core/attempts'
import { LESSON_KINDS, WEIGHTS } from '#core/pacing'

/** Shapes of what is stored as JSON; brands are put back on values that were checked when written. */
export const day = z.custom<IsoDay>(v => typeof v === 'string' && parseIsoDay(v) !== null)
export const at = z.custom<Instant>(v => typeof v === 'number' && Number.isSafeInteger(v))
const id = <T extends string>() => z.custom<T>(v => typeof v === 'string' && v.length > 0)
const v1 = { v: z.literal(1) }

export const yearBody = z.object({
  ...v1, name: z.string(), zone: z.string(), firstOn: day, lastOn: day,
  weekdays: z.array(z.custom<Weekday>(n => Number.isInteger(n) && Number(n) >= 1 && Number(n) <= 7)),
  terms: z.array(z.object({ name: z.string(), firstOn: day, lastOn: day })),
  notes: z.array(z.object({ id: z.string(), kind: z.enum(DAY_NOTE_KINDS), name: z.string(), fromOn: day, throughOn: day, classIds: z.array(id<ClassId>()), factorRatio: z.number().optional(), minutes: z.number().optional() })),
  rotation: z.object({ labels: z.array(z.string()), advance: z.enum(['instructional', 'date']), overrides: z.array(z.object({ on: day, label: z.string() })) }).nullable(),
})

export const patternRow = z.object({
  day: z.union([z.object({ weekday: z.custom<Weekday>(n => Number.isInteger(n)) }), z.object({ label: z.string() })]),
  startMinute: z.number(), minutes: z.number(), fromOn: day.optional(), throughOn: day.optional(),
})

const change = { on: day, startMinute: z.number(), why: z.string() }
export const meetingChange = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cancel'), ...change }),
  z.object({ kind: z.literal('add'), ...change, minutes: z.number() }),
  z.object({ kind: z.literal('minutes'), ...change, minutes: z.number() }),
])

export const classBody = z.object({ ...v1, pattern: z.array(patternRow), lengths: z.record(z.string(), z.number()), changes: z.array(meetingChange) })

export const planBody = z.object({
  ...v1, title: z.string(), course: z.string(),
  units: z.array(z.object({ id: id<UnitId>(), number: z.string(), title: z.string() })),
  lessons: z.array(z.object({
    id: id<LessonId>(), unitId: id<UnitId>(), number: z.string(), title: z.string(), kind: z.enum(LESSON_KINDS), weight: z.enum(WEIGHTS), bookLessonId: z.string().nullable(),
    length: z.object({ unit: z.literal('meetings'), min: z.number(), typical: z.number(), max: z.number() }),
  })),
})

export const command = z.discriminatedUnion('kind', [
  z.object({ ...v1, kind: z.literal('length'), classId: id<ClassId>(), lessonId: id<LessonId>(), from: z.number().nullable(), to: z.number().nullable() }),
  z.object({ ...v1, kind: z.literal('meeting'), classId: id<ClassId>(), on: day, startMinute: z.number(), from: meetingChange.nullable(), to: meetingChange.nullable() }),
])

export const bookBody = z.object({
  ...v1, title: z.string(), course: z.string(), grade: z.number(),
  units: z.array(z.object({ number: z.string(), title: z.string(), lessons: z.array(z.object({ id: z.string(), number: z.string(), title: z.string(), typicalMeetings: z.number(), kind: z.enum(['lesson', 'test', 'project', 'review']) })) })),
})

const itemBase = { id: id<ItemId>(), stem: z.string(), points: z.number(), standard: z.string().nullable(), difficulty: z.number(), feedback: z.string() }
const options = z.array(z.object({ id: z.string(), text: z.string() }))
export const item = z.discriminatedUnion('kind', [
  z.object({ ...itemBase, kind: z.literal('single'), options, right: z.string() }),
  z.object({ ...itemBase, kind: z.literal('multiple'), options, right: z.array(z.string()) }),
  z.object({ ...itemBase, kind: z.literal('numeric'), value: z.number(), tolerance: z.number(), unit: z.string() }),
  z.object({ ...itemBase, kind: z.literal('text'), accepted: z.array(z.string()) }),
])
export const resourceBody = z.object({ ...v1, standards: z.array(z.string()), content: z.string(), items: z.array(item) })

const anchorAt = z.union([z.enum(['class-start', 'class-end', 'end-of-day']), z.object({ minuteOfDay: z.number() })])
export const moment = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('anchor'), lessonId: id<LessonId>(), edge: z.enum(['first', 'last']), offset: z.number(), step: z.enum(['meetings', 'days']), at: anchorAt }),
  z.object({ kind: z.literal('day'), on: day }),
  z.object({ kind: z.literal('time'), on: day, minuteOfDay: z.number() }),
])
const spec = { listed: moment.nullable(), opens: moment.nullable(), due: moment.nullable(), closes: moment.nullable(), putAway: moment.nullable() }
export const rules = z.object({
  maxAttempts: z.number().nullable(), kept: z.enum(KEPT), waitMinutes: z.number(), timeLimitMinutes: z.number().nullable(), order: z.enum(ITEM_ORDERS), feedback: z.enum(REVEALS), answers: z.enum(REVEALS),
  late: z.object({ percentPerDay: z.number(), per: z.enum(LATE_PER), floorPercent: z.number() }).nullable(),
})
export const assignmentBody = z.object({ ...v1, window: z.object(spec), rules })
export const overridesBody = z.object({ ...v1, window: z.object(spec).partial().optional(), maxAttempts: z.number().nullable().optional(), timeLimitMinutes: z.number().nullable().optional() })
export const becauseBody = z.object({
  ...v1, reasons: z.array(z.object({ field: z.enum(['listed', 'opens', 'due', 'closes', 'putAway', 'maxAttempts', 'timeLimitMinutes']), level: z.enum(LEVELS), sourceId: z.string().nullable() })),
})
export const answer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('single'), choice: z.string().nullable() }),
  z.object({ kind: z.literal('multiple'), choices: z.array(z.string()) }),
  z.object({ kind: z.literal('numeric'), text: z.string() }),
  z.object({ kind: z.literal('text'), text: z.string() }),
])
export const score = z.object({ ...v1, points: z.number(), of: z.number(), ratio: z.number(), lateDays: z.number(), deductedRatio: z.number(), items: z.array(z.object({ itemId: id<ItemId>(), points: z.number(), of: z.number() })) })
