import { z } from 'zod'
import type { IsoDay, LessonId, PlanId, UnitId } from '#core/base'
import { LEFT_BECAUSE, LENGTH_UNITS, LESSON_KINDS, WEIGHTS } from '#core/pacing'
import type { Baseline, ClassPacing, FixedDate, HeldSlot, LessonRecord, Plan, PlanLesson } from '#core/pacing'
import { calendarShapes } from './calendar'
import { at, day, id } from './makers'
import type { Makers } from './makers'

/** Most lessons a plan may have; more than any school year holds. */
const MOST_LESSONS = 2000

/** Plans, and what one class does differently. */
export function pacingShapes(m: Makers) {
  const fixedDate = z.discriminatedUnion('kind', [
    m.object({ kind: z.literal('on'), on: day }),
    m.object({ kind: z.literal('not-before'), on: day }),
    m.object({ kind: z.literal('not-after'), on: day }),
    m.object({ kind: z.literal('within'), fromOn: day, throughOn: day }),
  ]) satisfies z.ZodType<FixedDate>

  const planLesson = m.object({
    id: id<LessonId>(),
    unitId: id<UnitId>(),
    number: m.prose(12),
    title: m.line(120),
    kind: z.enum(LESSON_KINDS),
    weight: z.enum(WEIGHTS),
    fixed: fixedDate.nullable(),
    notAfterBreak: z.boolean(),
    bookLessonId: m.prose(64).nullable(),
    length: m.object({
      unit: z.enum(LENGTH_UNITS),
      // sense is made of these by the core, which names the lesson
      min: z.number(),
      typical: z.number(),
      max: z.number(),
    }),
  }) satisfies z.ZodType<PlanLesson>

  const planUnit = m.object({
    id: id<UnitId>(),
    number: m.prose(12),
    title: m.line(120),
    partId: m.prose(64).nullable(),
  })
  const planPart = m.object({ id: m.line(64), title: m.line(60), term: m.whole(1, 12) })
  const plan = m.object({
    id: id<PlanId>(),
    title: m.line(120),
    course: m.line(60),
    parts: m.list(planPart, 12),
    units: m.list(planUnit, 200),
    lessons: m.list(planLesson, MOST_LESSONS),
  }) satisfies z.ZodType<Plan>

  const halves = m.number(0, 200)
  const heldSlot = m.object({
    on: day,
    startMinute: m.whole(0, 1439),
    halves,
  }) satisfies z.ZodType<HeldSlot>
  const record = m.object({
    outcome: z.enum(['covered', 'under-way']),
    held: m.list(heldSlot, 200),
    moreHalves: halves,
    lesson: m.object({ number: m.line(20), title: m.line(200) }).optional(),
  }) satisfies z.ZodType<LessonRecord>
  type Slot = readonly [IsoDay, number]
  const slot = z.tuple([day, halves]) as unknown as z.ZodType<Slot, Slot>
  const slots = m.list(slot, 200)
  const baseline = m.object({
    agreedAt: at,
    lessons: m.byLesson(slots, 2 * MOST_LESSONS),
  }) satisfies z.ZodType<Baseline>

  const left = z.enum(LEFT_BECAUSE)
  const fixedOrFree = z.union([fixedDate, z.literal('free')])
  const order = m.list(id<LessonId>(), MOST_LESSONS)
  const classPacing = m.object({
    lengths: m.byLesson(z.number(), MOST_LESSONS),
    left: m.byLesson(left, MOST_LESSONS),
    fixed: m.byLesson(fixedOrFree, MOST_LESSONS),
    added: m.byLesson(planLesson, MOST_LESSONS),
    records: m.byLesson(record, MOST_LESSONS),
    order: order.nullable(),
    through: heldSlot.nullable(),
    begins: heldSlot.nullable(),
    baseline: baseline.nullable(),
    changes: m.list(calendarShapes(m).meetingChange, 1000),
  }) satisfies z.ZodType<ClassPacing>

  return {
    fixedDate,
    fixedOrFree,
    planLesson,
    planUnit,
    planPart,
    plan,
    heldSlot,
    record,
    baseline,
    left,
    order,
    classPacing,
  }
}
