import { z } from 'zod'
import type { ClassId, LessonId, PlanId, YearId } from '#core/base'
import { WAYS } from '#core/pacing'
import type { PacingCommand, Purpose, SingleCommand } from '#core/pacing'
import { calendarShapes } from './calendar'
import { day, id } from './makers'
import type { Makers } from './makers'
import { pacingShapes } from './pacing'

/** Planning acts: what changes, with what the teacher saw and what it shall be. */
export function commandShapes(m: Makers) {
  const calendar = calendarShapes(m)
  const pacing = pacingShapes(m)
  const changed = <T extends z.ZodType>(value: T) => ({ from: value.nullable(), to: value.nullable() })
  const listChanged = <T extends z.ZodType>(of: T, most: number) =>
    m.object({ from: m.list(of, most), to: m.list(of, most) }).nullable()

  const ofLesson = { kind: z.literal('lesson'), classId: id<ClassId>(), lessonId: id<LessonId>() }
  const ofClass = { kind: z.literal('class'), classId: id<ClassId>() }
  const pattern = m.list(calendar.patternRow, 60)
  // by its kind, and not one after another: an act may consist of thousands
  const single = z.discriminatedUnion('kind', [
    m.object({
      kind: z.literal('length'),
      classId: id<ClassId>(),
      lessonId: id<LessonId>(),
      ...changed(m.whole()),
    }),
    m.object({
      kind: z.literal('meeting'),
      classId: id<ClassId>(),
      on: day,
      startMinute: m.whole(0, 1439),
      ...changed(calendar.meetingChange),
    }),
    z.discriminatedUnion('part', [
      m.object({ ...ofLesson, part: z.literal('left'), ...changed(pacing.left) }),
      m.object({ ...ofLesson, part: z.literal('fixed'), ...changed(pacing.fixedOrFree) }),
      m.object({ ...ofLesson, part: z.literal('records'), ...changed(pacing.record) }),
      m.object({ ...ofLesson, part: z.literal('added'), ...changed(pacing.planLesson) }),
    ]),
    z.discriminatedUnion('part', [
      m.object({ ...ofClass, part: z.literal('order'), ...changed(pacing.order) }),
      m.object({ ...ofClass, part: z.literal('through'), ...changed(pacing.heldSlot) }),
      m.object({ ...ofClass, part: z.literal('baseline'), ...changed(pacing.baseline) }),
    ]),
    m.object({ kind: z.literal('note'), yearId: id<YearId>(), ...changed(calendar.dayNote) }),
    m.object({ kind: z.literal('year'), yearId: id<YearId>(), from: calendar.year, to: calendar.year }),
    m.object({ kind: z.literal('pattern'), classId: id<ClassId>(), from: pattern, to: pattern }),
    m.object({
      kind: z.literal('plan'),
      planId: id<PlanId>(),
      lessons: m.list(m.object({ lessonId: id<LessonId>(), ...changed(pacing.planLesson) }), 4000),
      order: listChanged(id<LessonId>(), 2000),
      units: listChanged(pacing.planUnit, 200),
      parts: listChanged(pacing.planPart, 12),
    }),
  ]) satisfies z.ZodType<SingleCommand>

  const purpose = z.union([
    m.object({ code: z.literal('ripple'), way: z.enum(WAYS), cause: m.line(80) }),
    m.object({ code: z.literal('fit') }),
    m.object({
      code: z.enum(['covered', 'took', 'carried-over', 'taken-back', 'move', 'add', 'agree']),
      lessonId: id<LessonId>().nullable(),
    }),
  ]) satisfies z.ZodType<Purpose>
  const together = m.object({
    kind: z.literal('together'),
    purpose,
    commands: m.list(single, 4000).refine((list) => list.length > 0, 'holds nothing'),
  })
  return { command: z.discriminatedUnion('kind', [together, single]) satisfies z.ZodType<PacingCommand> }
}
