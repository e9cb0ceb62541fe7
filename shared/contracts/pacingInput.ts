import { z } from 'zod'
import { parseIsoDay } from '#core/base'
import type { ClassId, LessonId, PlanId, UnitId, YearId } from '#core/base'
import { LEFT_BECAUSE, LENGTH_UNITS, LESSON_KINDS, WAYS, WEIGHTS } from '#core/pacing'
import type { Baseline } from '#core/pacing'
import { at, day, id, line } from './define'
import { dayNote, patternRow, yearInput } from './teaching'

// what a planning act may say; the core then checks it against what is there
const minuteOfDay = z.number().int().min(0).max(1439)
const minutes = z.number().int().min(5, 'is below 5').max(600, 'is above 600')
const halves = z.number().min(0).max(200)
const changed = <T extends z.ZodType>(value: T) => ({ from: value.nullable(), to: value.nullable() })
const listChanged = <T extends z.ZodType>(value: T, most: number) =>
  z.strictObject({ from: z.array(value).max(most), to: z.array(value).max(most) }).nullable()

const change = { on: day, startMinute: minuteOfDay, why: line(80) }
const meetingChange = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('cancel'), ...change }),
  z.strictObject({ kind: z.literal('add'), ...change, minutes }),
  z.strictObject({ kind: z.literal('minutes'), ...change, minutes }),
])
export const fixedDate = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('on'), on: day }),
  z.strictObject({ kind: z.literal('not-before'), on: day }),
  z.strictObject({ kind: z.literal('not-after'), on: day }),
  z.strictObject({ kind: z.literal('within'), fromOn: day, throughOn: day }),
])
const planLesson = z.strictObject({
  id: id<LessonId>(),
  unitId: id<UnitId>(),
  number: z.string().trim().max(12, 'is longer than 12 characters'),
  title: line(120),
  kind: z.enum(LESSON_KINDS),
  weight: z.enum(WEIGHTS),
  fixed: fixedDate.nullable(),
  notAfterBreak: z.boolean(),
  bookLessonId: z.string().max(64).nullable(),
  length: z.strictObject({
    unit: z.enum(LENGTH_UNITS),
    min: z.number(),
    typical: z.number(),
    max: z.number(),
  }),
})
const planUnit = z.strictObject({
  id: id<UnitId>(),
  number: z.string().max(12),
  title: line(120),
  partId: z.string().max(64).nullable(),
})
const planPart = z.strictObject({
  id: z.string().min(1).max(64),
  title: line(60),
  term: z.number().int().min(1).max(12),
})
const heldSlot = z.strictObject({ on: day, startMinute: minuteOfDay, halves })
const record = z.strictObject({
  outcome: z.enum(['covered', 'under-way']),
  held: z.array(heldSlot).max(200),
  moreHalves: halves,
})
/** Checked by hand: shapes that no other contract needs would come with every learner's first page. */
const lessonDays = z.custom<Baseline['lessons']>(
  (v) =>
    typeof v === 'object' &&
    v !== null &&
    !Array.isArray(v) &&
    Object.keys(v).length <= 4000 &&
    Object.entries(v).every(
      ([key, list]) =>
        key.length <= 64 &&
        Array.isArray(list) &&
        list.length <= 200 &&
        list.every(
          (slot) =>
            Array.isArray(slot) &&
            slot.length === 2 &&
            typeof slot[0] === 'string' &&
            parseIsoDay(slot[0]) !== null &&
            typeof slot[1] === 'number' &&
            slot[1] >= 0 &&
            slot[1] <= 200,
        ),
    ),
  'is not a list of days for each lesson',
)
const baseline = z.strictObject({ agreedAt: at, lessons: lessonDays })

const year = yearInput.extend({ id: id<YearId>() })
const ofLesson = { kind: z.literal('lesson'), classId: id<ClassId>(), lessonId: id<LessonId>() }
const ofClass = { kind: z.literal('class'), classId: id<ClassId>() }
const single = z.union([
  z.strictObject({
    kind: z.literal('length'),
    classId: id<ClassId>(),
    lessonId: id<LessonId>(),
    ...changed(z.number().int()),
  }),
  z.strictObject({
    kind: z.literal('meeting'),
    classId: id<ClassId>(),
    on: day,
    startMinute: minuteOfDay,
    ...changed(meetingChange),
  }),
  z.strictObject({ ...ofLesson, part: z.literal('left'), ...changed(z.enum(LEFT_BECAUSE)) }),
  z.strictObject({
    ...ofLesson,
    part: z.literal('fixed'),
    ...changed(z.union([fixedDate, z.literal('free')])),
  }),
  z.strictObject({ ...ofLesson, part: z.literal('records'), ...changed(record) }),
  z.strictObject({ ...ofLesson, part: z.literal('added'), ...changed(planLesson) }),
  z.strictObject({ ...ofClass, part: z.literal('order'), ...changed(z.array(id<LessonId>()).max(2000)) }),
  z.strictObject({ ...ofClass, part: z.literal('through'), ...changed(heldSlot) }),
  z.strictObject({ ...ofClass, part: z.literal('baseline'), ...changed(baseline) }),
  z.strictObject({ kind: z.literal('note'), yearId: id<YearId>(), ...changed(dayNote) }),
  z.strictObject({ kind: z.literal('year'), yearId: id<YearId>(), from: year, to: year }),
  z.strictObject({
    kind: z.literal('pattern'),
    classId: id<ClassId>(),
    from: z.array(patternRow).max(60),
    to: z.array(patternRow).max(60),
  }),
  z.strictObject({
    kind: z.literal('plan'),
    planId: id<PlanId>(),
    lessons: z.array(z.strictObject({ lessonId: id<LessonId>(), ...changed(planLesson) })).max(4000),
    order: listChanged(id<LessonId>(), 2000),
    units: listChanged(planUnit, 200),
    parts: listChanged(planPart, 12),
  }),
])
const purpose = z.union([
  z.strictObject({ code: z.literal('ripple'), way: z.enum(WAYS), cause: line(80) }),
  z.strictObject({ code: z.literal('fit') }),
  z.strictObject({
    code: z.enum(['covered', 'took', 'carried-over', 'move', 'add', 'agree']),
    lessonId: id<LessonId>().nullable(),
  }),
])
const together = z.strictObject({
  kind: z.literal('together'),
  purpose,
  commands: z.array(single).min(1, 'holds nothing').max(4000),
})

/** A planning act from outside. */
export const commandInput = z.union([together, single])
