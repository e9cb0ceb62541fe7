import { readMoment } from '#core/availability'
import type { CountedFrom, Moment, ReadingContext, Window, WindowField, WindowSpec } from '#core/availability'
import type { Instant, LessonId } from '#core/base'
import type { Zone } from '#core/calendar'
import { readTypedClock } from '~/shared/fields/clockReading'
import { readDay } from '~/shared/fields/dayReading'
import type { DayContext, DayReader } from '~/shared/fields/dayReading'

/** What typed words are read against. */
export interface MomentContext extends DayContext, Omit<ReadingContext, 'clock'> {}

/** A field's own word for what it is without a moment. */
const NOTHING: Readonly<Record<WindowField, RegExp>> = {
  listed: /^(now|at once|immediately|when published)$/,
  opens: /^(now|at once|immediately|when published)$/,
  due: /^(none|never|no|no due date)$/,
  closes: /^(none|no|when due)$/,
  putAway: /^(none|never|no)$/,
}

/**
 * A moment as it was typed: about a lesson or in steps ("+2 meetings", "end of W3"), or a day ("21 oct", "28.10."),
 * with or without a time ("fri 3pm"). Null: none is wanted. Undefined: it could not be read, or not all of it.
 */
export function readTypedMoment(
  text: string,
  context: MomentContext,
  read: DayReader | null,
): Moment | null | undefined {
  const typed = text.trim().toLowerCase()
  if (NOTHING[context.field].test(typed)) return null
  const said = readMoment(typed, { ...context, clock: readTypedClock })
  if (said) return said
  const { day, minuteOfDay } = parted(typed)
  // steps that could not be taken are not a day
  if (/^[+-]|\bmeetings?\b/.test(day)) return undefined
  const on = readDay(day, context, read)
  if (on === null) return undefined
  return minuteOfDay === null ? { kind: 'day', on } : { kind: 'time', on, minuteOfDay }
}

/** From where steps count in a window that is being composed, and the lesson that is meant. */
export function countingIn(
  window: WindowSpec,
  of: {
    readonly now: Instant
    readonly zone: Zone
    /** How it comes out, where it comes out alike for all who are meant. */
    readonly resolved: Window | null
    /** The lesson of the moment that is typed over. */
    readonly own: LessonId | null
  },
): Pick<ReadingContext, 'current' | 'from' | 'now' | 'due'> {
  const { zone, resolved } = of
  const now = zone.local(of.now)
  const { opens, due } = window
  const current = of.own ?? (opens?.kind === 'anchor' ? opens.lessonId : null)
  const opensAt = opens?.kind === 'meeting' && resolved?.opens ? zone.local(resolved.opens) : null
  const from = opensAt ?? fromOf(opens) ?? now
  const dueOn = resolved?.due ? zone.local((resolved.due - 1) as Instant).on : null
  return {
    current,
    now,
    from: isBefore(from, now) ? now : from,
    due: due && { moment: due, on: dueOn },
  }
}

function fromOf(opens: Moment | null): CountedFrom | null {
  if (opens?.kind === 'day') return { on: opens.on, minuteOfDay: 0 }
  return opens?.kind === 'time' ? { on: opens.on, minuteOfDay: opens.minuteOfDay } : null
}

function isBefore(a: CountedFrom, b: CountedFrom): boolean {
  return a.on === b.on ? a.minuteOfDay < b.minuteOfDay : a.on < b.on
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
