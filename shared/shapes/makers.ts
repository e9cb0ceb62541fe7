import { z } from 'zod'
import { isId, parseIsoDay } from '#core/base'
import type { Brand, Instant, IsoDay, LessonId, Weekday } from '#core/base'

/**
 * What the shapes of core values are made of. The wire is strict and has limits; stored rows were checked when
 * they were written and are read as they are, so that a limit that changes makes no old row unreadable.
 */
export interface Makers {
  readonly object: <S extends z.core.$ZodLooseShape>(shape: S) => z.ZodObject<S, z.core.$strip>
  /** A line of text, not empty. */
  readonly line: (most: number) => z.ZodType<string, string>
  /** Text, possibly empty. */
  readonly prose: (most: number) => z.ZodType<string, string>
  readonly number: (least?: number, most?: number) => z.ZodType<number, number>
  readonly whole: (least?: number, most?: number) => z.ZodType<number, number>
  readonly list: <T extends z.ZodType>(of: T, most: number) => ListOf<T>
  /** Values by lesson. */
  readonly byLesson: <T extends z.ZodType>(of: T, most: number) => ByLesson<T>
}
type ListOf<T extends z.ZodType> = z.ZodType<readonly z.output<T>[], readonly z.input<T>[]>
type ByLesson<T extends z.ZodType> = z.ZodType<
  Readonly<Record<LessonId, z.output<T>>>,
  Readonly<Record<LessonId, z.input<T>>>
>

/** An id of one kind. */
export function id<Id extends Brand<string, string>>() {
  return z.custom<Id>((v) => typeof v === 'string' && isId(v), 'is not a known id')
}
/** A calendar date 'YYYY-MM-DD', of a century in which dates can be reckoned with. */
export const day = z.custom<IsoDay>(
  (v) => typeof v === 'string' && parseIsoDay(v) !== null && v >= '1900' && v < '2200',
  'is not a date such as 2026-10-14',
)
/** A moment in epoch milliseconds. */
export const at = z.custom<Instant>(
  (v) => typeof v === 'number' && Number.isSafeInteger(v),
  'is not a moment',
)
/** 1 = Monday … 7 = Sunday. */
export const weekday = z.custom<Weekday>(
  (n) => Number.isInteger(n) && Number(n) >= 1 && Number(n) <= 7,
  'is not a weekday',
)

function bounded<T extends z.ZodNumber>(number: T, least?: number, most?: number) {
  const above = least === undefined ? number : number.min(least, `is below ${least}`)
  return most === undefined ? above : above.max(most, `is above ${most}`)
}

/** C0, DEL and C1, and what parts lines: such a name would break a header, a file or a calendar. */
const CONTROLS = /[\u0000-\u001F\u007F-\u009F\u2028\u2029]/

/** Values from outside: nothing unknown, everything limited, each fault with its words. */
export const WIRE: Makers = {
  object: (shape) => z.strictObject(shape) as unknown as ReturnType<typeof z.object<typeof shape>>,
  line: (most) =>
    z
      .string()
      .trim()
      .min(1, 'is empty')
      .max(most, `is longer than ${most} characters`)
      .refine((v) => !CONTROLS.test(v), 'has line breaks or control characters'),
  prose: (most) =>
    z
      .string()
      .max(most, `is longer than ${most} characters`)
      .refine((v) => !CONTROLS.test(v.replace(/[\t\n\r]/g, '')), 'has control characters'),
  number: (least, most) => bounded(z.number(), least, most),
  whole: (least, most) => bounded(z.number().int(), least, most),
  list: (of, most) => z.array(of).max(most) as unknown as ListOf<typeof of>,
  byLesson: (of, most) =>
    z
      .record(z.string().refine(isId, 'is not a known id'), of)
      .refine((v) => Object.keys(v).length <= most, 'is too long') as unknown as ByLesson<typeof of>,
}

/** Values from the database. */
export const STORED: Makers = {
  object: (shape) => z.object(shape),
  line: () => z.string(),
  prose: () => z.string(),
  number: () => z.number(),
  whole: () => z.number(),
  list: (of) => z.array(of) as unknown as ListOf<typeof of>,
  byLesson: (of) => z.record(z.string(), of) as unknown as ByLesson<typeof of>,
}
