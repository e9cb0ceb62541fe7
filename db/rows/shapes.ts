import { z } from 'zod'
import { parseIsoDay } from '#core/base'
import type { ClassId, Instant, IsoDay, ItemId, LessonId, PlanId, UnitId, Weekday, YearId } from '#core/base'
import { LEVELS } from '#core/audience'
import { DAY_NOTE_KINDS } from '#core/calendar'
import { ITEM_ORDERS, KEPT, LATE_PER, REVEALS } from '#core/attempts'
import { LEFT_BECAUSE, LENGTH_UNITS, LESSON_KINDS, WAYS, WEIGHTS } from '#core/pacing'

/** Shapes of what is stored as JSON; brands are put back on values that were checked when written. */
export const day = z.custom<IsoDay>((v) => typeof v === 'string' && parseIsoDay(v) !== null)
export const at = z.custom<Instant>((v) => typeof v === 'number' && Number.isSafeInteger(v))
const id = <T extends string>() => z.custom<T>((v) => typeof v === 'string' && v.length > 0)
const v1 = { v: z.literal(1) }

const dayNote = z.object({
  id: z.string(),
  kind: z.enum(DAY_NOTE_KINDS),
  name: z.string(),
  fromOn: day,
  throughOn: day,
  classIds: z.array(id<ClassId>()),
  factorRatio: z.number().optional(),
  minutes: z.number().optional(),
  fromMinute: z.number().optional(),
  untilMinute: z.number().optional(),
})
const yearFields = {
  name: z.string(),
  zone: z.string(),
  firstOn: day,
  lastOn: day,
  weekdays: z.array(z.custom<Weekday>((n) => Number.isInteger(n) && Number(n) >= 1 && Number(n) <= 7)),
  terms: z.array(z.object({ name: z.string(), firstOn: day, lastOn: day })),
  notes: z.array(dayNote),
  rotation: z
    .object({
      labels: z.array(z.string()),
      advance: z.enum(['instructional', 'date']),
      overrides: z.array(z.object({ on: day, label: z.string() })),
    })
    .nullable(),
  wholeFromRatio: z.number().optional(),
}
export const yearBody = z.object({ ...v1, ...yearFields })
const year = z.object({ id: id<YearId>(), ...yearFields })

export const patternRow = z.object({
  day: z.union([
    z.object({ weekday: z.custom<Weekday>((n) => Number.isInteger(n)) }),
    z.object({ label: z.string() }),
  ]),
  startMinute: z.number(),
  minutes: z.number(),
  fromOn: day.optional(),
  throughOn: day.optional(),
})

const change = { on: day, startMinute: z.number(), why: z.string() }
export const meetingChange = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('cancel'), ...change }),
  z.object({ kind: z.literal('add'), ...change, minutes: z.number() }),
  z.object({ kind: z.literal('minutes'), ...change, minutes: z.number() }),
])

const fixedDate = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('on'), on: day }),
  z.object({ kind: z.literal('not-before'), on: day }),
  z.object({ kind: z.literal('not-after'), on: day }),
  z.object({ kind: z.literal('within'), fromOn: day, throughOn: day }),
])
// bodies written before a plan knew fixed dates and parts are read as having none
const planLesson = z.object({
  id: id<LessonId>(),
  unitId: id<UnitId>(),
  number: z.string(),
  title: z.string(),
  kind: z.enum(LESSON_KINDS),
  weight: z.enum(WEIGHTS),
  fixed: fixedDate.nullable().default(null),
  notAfterBreak: z.boolean().default(false),
  bookLessonId: z.string().nullable(),
  length: z.object({ unit: z.enum(LENGTH_UNITS), min: z.number(), typical: z.number(), max: z.number() }),
})
const planUnit = z.object({
  id: id<UnitId>(),
  number: z.string(),
  title: z.string(),
  partId: z.string().nullable().default(null),
})
const planPart = z.object({ id: z.string(), title: z.string(), term: z.number() })
export const planBody = z.object({
  ...v1,
  title: z.string(),
  course: z.string(),
  parts: z.array(planPart).default([]),
  units: z.array(planUnit),
  lessons: z.array(planLesson),
})

const heldSlot = z.object({ on: day, startMinute: z.number(), halves: z.number() })
const left = z.enum(LEFT_BECAUSE)
const fixedOrFree = z.union([fixedDate, z.literal('free')])
const record = z.object({
  outcome: z.enum(['covered', 'under-way']),
  held: z.array(heldSlot),
  moreHalves: z.number(),
})
const baseline = z.object({
  agreedAt: at,
  lessons: z.record(z.string(), z.array(z.tuple([day, z.number()]))),
})
export const classBody = z.object({
  ...v1,
  pattern: z.array(patternRow),
  lengths: z.record(z.string(), z.number()),
  left: z.record(z.string(), left).default({}),
  fixed: z.record(z.string(), fixedOrFree).default({}),
  added: z.record(z.string(), planLesson).default({}),
  records: z.record(z.string(), record).default({}),
  order: z.array(id<LessonId>()).nullable().default(null),
  through: heldSlot.nullable().default(null),
  baseline: baseline.nullable().default(null),
  changes: z.array(meetingChange),
})

const changeOf = <T extends z.ZodType>(value: T) => ({ from: value.nullable(), to: value.nullable() })
const listChange = <T extends z.ZodType>(value: T) =>
  z.object({ from: z.array(value), to: z.array(value) }).nullable()
const lessonPart = { kind: z.literal('lesson'), classId: id<ClassId>(), lessonId: id<LessonId>() }
const classPart = { kind: z.literal('class'), classId: id<ClassId>() }
const single = z.union([
  z.object({
    kind: z.literal('length'),
    classId: id<ClassId>(),
    lessonId: id<LessonId>(),
    ...changeOf(z.number()),
  }),
  z.object({
    kind: z.literal('meeting'),
    classId: id<ClassId>(),
    on: day,
    startMinute: z.number(),
    ...changeOf(meetingChange),
  }),
  z.object({ ...lessonPart, part: z.literal('left'), ...changeOf(left) }),
  z.object({ ...lessonPart, part: z.literal('fixed'), ...changeOf(fixedOrFree) }),
  z.object({ ...lessonPart, part: z.literal('records'), ...changeOf(record) }),
  z.object({ ...lessonPart, part: z.literal('added'), ...changeOf(planLesson) }),
  z.object({ ...classPart, part: z.literal('order'), ...changeOf(z.array(id<LessonId>())) }),
  z.object({ ...classPart, part: z.literal('through'), ...changeOf(heldSlot) }),
  z.object({ ...classPart, part: z.literal('baseline'), ...changeOf(baseline) }),
  z.object({ kind: z.literal('note'), yearId: id<YearId>(), ...changeOf(dayNote) }),
  z.object({ kind: z.literal('year'), yearId: id<YearId>(), from: year, to: year }),
  z.object({
    kind: z.literal('pattern'),
    classId: id<ClassId>(),
    from: z.array(patternRow),
    to: z.array(patternRow),
  }),
  z.object({
    kind: z.literal('plan'),
    planId: id<PlanId>(),
    lessons: z.array(z.object({ lessonId: id<LessonId>(), ...changeOf(planLesson) })),
    order: listChange(id<LessonId>()),
    units: listChange(planUnit),
    parts: listChange(planPart),
  }),
])
const purpose = z.union([
  z.object({ code: z.literal('ripple'), way: z.enum(WAYS), cause: z.string() }),
  z.object({ code: z.literal('fit') }),
  z.object({
    code: z.enum(['covered', 'took', 'carried-over', 'move', 'add', 'agree']),
    lessonId: id<LessonId>().nullable(),
  }),
])
export const command = z.union([
  single,
  z.object({ kind: z.literal('together'), purpose, commands: z.array(single) }),
])

export const bookBody = z.object({
  ...v1,
  title: z.string(),
  course: z.string(),
  grade: z.number(),
  units: z.array(
    z.object({
      number: z.string(),
      title: z.string(),
      lessons: z.array(
        z.object({
          id: z.string(),
          number: z.string(),
          title: z.string(),
          typicalMeetings: z.number(),
          kind: z.enum(['lesson', 'test', 'project', 'review']),
        }),
      ),
    }),
  ),
})

const itemBase = {
  id: id<ItemId>(),
  stem: z.string(),
  points: z.number(),
  standard: z.string().nullable(),
  difficulty: z.number(),
  feedback: z.string(),
}
const options = z.array(z.object({ id: z.string(), text: z.string() }))
export const item = z.discriminatedUnion('kind', [
  z.object({ ...itemBase, kind: z.literal('single'), options, right: z.string() }),
  z.object({ ...itemBase, kind: z.literal('multiple'), options, right: z.array(z.string()) }),
  z.object({
    ...itemBase,
    kind: z.literal('numeric'),
    value: z.number(),
    tolerance: z.number(),
    unit: z.string(),
  }),
  z.object({ ...itemBase, kind: z.literal('text'), accepted: z.array(z.string()) }),
])
export const resourceBody = z.object({
  ...v1,
  standards: z.array(z.string()),
  content: z.string(),
  items: z.array(item),
})

const anchorAt = z.union([
  z.enum(['class-start', 'class-end', 'end-of-day']),
  z.object({ minuteOfDay: z.number() }),
])
export const moment = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('anchor'),
    lessonId: id<LessonId>(),
    edge: z.enum(['first', 'last']),
    offset: z.number(),
    step: z.enum(['meetings', 'days']),
    at: anchorAt,
  }),
  z.object({ kind: z.literal('day'), on: day }),
  z.object({ kind: z.literal('time'), on: day, minuteOfDay: z.number() }),
])
const spec = {
  listed: moment.nullable(),
  opens: moment.nullable(),
  due: moment.nullable(),
  closes: moment.nullable(),
  putAway: moment.nullable(),
}
export const rules = z.object({
  maxAttempts: z.number().nullable(),
  kept: z.enum(KEPT),
  waitMinutes: z.number(),
  timeLimitMinutes: z.number().nullable(),
  order: z.enum(ITEM_ORDERS),
  feedback: z.enum(REVEALS),
  answers: z.enum(REVEALS),
  late: z.object({ percentPerDay: z.number(), per: z.enum(LATE_PER), floorPercent: z.number() }).nullable(),
})
export const assignmentBody = z.object({ ...v1, window: z.object(spec), rules })
export const overridesBody = z.object({
  ...v1,
  window: z.object(spec).partial().optional(),
  maxAttempts: z.number().nullable().optional(),
  timeLimitMinutes: z.number().nullable().optional(),
})
export const becauseBody = z.object({
  ...v1,
  reasons: z.array(
    z.object({
      field: z.enum(['listed', 'opens', 'due', 'closes', 'putAway', 'maxAttempts', 'timeLimitMinutes']),
      level: z.enum(LEVELS),
      sourceId: z.string().nullable(),
    }),
  ),
})
export const answer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('single'), choice: z.string().nullable() }),
  z.object({ kind: z.literal('multiple'), choices: z.array(z.string()) }),
  z.object({ kind: z.literal('numeric'), text: z.string() }),
  z.object({ kind: z.literal('text'), text: z.string() }),
])
export const score = z.object({
  ...v1,
  points: z.number(),
  of: z.number(),
  ratio: z.number(),
  lateDays: z.number(),
  deductedRatio: z.number(),
  items: z.array(z.object({ itemId: id<ItemId>(), points: z.number(), of: z.number() })),
})
