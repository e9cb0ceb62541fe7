import { readMoment } from '#core/availability'
import type { Moment, NamedLesson, WindowField } from '#core/availability'
import type { LessonId } from '#core/base'
import { readTypedClock } from '~/shared/fields/clockReading'
import { readDay } from '~/shared/fields/dayReading'
import type { DayContext, DayReader } from '~/shared/fields/dayReading'

/** What typed words are read against. */
export interface MomentContext extends DayContext {
  readonly field: WindowField
  readonly lessons: readonly NamedLesson[]
  /** The lesson that is meant when none is named. */
  readonly current: LessonId | null
}

const NOTHING = /^(none|never|no|no due date|when published|when due)$/

/**
 * A moment as it was typed: about a lesson ("+2 meetings", "end of W3"), or a day ("21 oct"), with or without a time
 * ("fri 3pm"). Null: none is wanted. Undefined: it could not be read.
 */
export function readTypedMoment(
  text: string,
  context: MomentContext,
  read: DayReader | null,
): Moment | null | undefined {
  const typed = text.trim().toLowerCase()
  if (NOTHING.test(typed)) return null
  const { field, lessons, current } = context
  const anchored = readMoment(typed, { field, lessons, current, clock: readTypedClock })
  if (anchored) return anchored
  const { day, minuteOfDay } = parted(typed)
  const on = readDay(day, context, read)
  if (on === null) return undefined
  return minuteOfDay === null ? { kind: 'day', on } : { kind: 'time', on, minuteOfDay }
}

/** A time at the end: with a colon, or with am or pm. */
const CLOCK = /\b\d{1,2}(?:[:.]\d{2} ?[ap]m|:\d{2}| ?[ap]m)$/

/** The time at the end of what was typed, told from a day of the month by its sign of an hour. */
function parted(typed: string): { readonly day: string; readonly minuteOfDay: number | null } {
  const [clock] = CLOCK.exec(typed) ?? []
  const minuteOfDay = clock === undefined ? null : readTypedClock(clock)
  if (clock === undefined || minuteOfDay === null) return { day: typed, minuteOfDay: null }
  const day = typed.slice(0, -clock.length).trim().replace(/ at$/, '').replace(/,$/, '')
  return { day, minuteOfDay }
}
