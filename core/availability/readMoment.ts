import { addDays } from '../base'
import type { IsoDay, LessonId } from '../base'
import { lessonsNamed, nameAt } from './lessonNames'
import type { NamedLesson } from './lessonNames'
import { isEnd } from './resolveMoment'
import type { Anchor, Moment, WindowField } from './types'

/** A day and a time of it, from which meetings or days are counted. */
export interface CountedFrom {
  readonly on: IsoDay
  readonly minuteOfDay: number
}

/** What words about lessons and meetings are read against. */
export interface ReadingContext {
  readonly field: WindowField
  /** In the plan's order. */
  readonly lessons: readonly NamedLesson[]
  /** The lesson that is meant when none is named; null: there is none, and steps count from `from`. */
  readonly current: LessonId | null
  readonly now: CountedFrom
  /** When it opens, where that is a day and not a lesson; else now. */
  readonly from: CountedFrom
  /** When it is due, and on which day that comes out (null: not on one): what closes counts from there. */
  readonly due?: { readonly moment: Moment; readonly on: IsoDay | null } | null
  /** Reads a clock time such as "3pm"; null when it is none. */
  readonly clock: (text: string) => number | null
}

/**
 * A moment that somebody typed about a lesson, or in steps: "+3 meetings", "W2.4", "end of W2.4", "start of W3" (a
 * whole unit), "last of W2.4 + 1 day, 3pm", "class end", "in 2 meetings", "next meeting", "2 meetings from now".
 * What is left out is what is usual for the field: starts stand at the first meeting's start, ends at the last
 * meeting's end.
 * Steps without a lesson count from the one that is meant, else from the opening; what closes counts from due. Null
 * when it is about no lesson that is known, or says anything besides.
 * @example "+2 meetings" as due, with W2.4 the current lesson: two meetings after its last, at class end; without
 * one: the end of the second meeting after the opening.
 */
export function readMoment(text: string, context: ReadingContext): Moment | null {
  const words = text.trim().toLowerCase().replace(/[−–]/g, '-').replace(/\s+/g, ' ')
  if (words === '') return null
  const { about, at } = parted(words)
  const place = at ? placeOf(at, context) : null
  if (at && !place) return null
  const fromNow = stepsFromNow(about)
  return fromNow ? counted(fromNow, context.now, place, context) : ofLesson(about, place, context)
}

type Place = Anchor['at']
interface Steps {
  readonly count: number
  readonly unit: 'meetings' | 'days'
}

function ofLesson(about: string, place: Place | null, context: ReadingContext): Moment | null {
  const { field, lessons, current, due } = context
  const ends = isEnd(field)
  const [edge = ''] = EDGE.exec(about) ?? []
  const name = nameAt(about.slice(edge.length), lessons)
  const step = STEP.exec(about.slice(edge.length + name.length))
  if (!step) return null
  const [, sign, digits, unit] = step
  if (!name && !digits && !place) return null
  const steps = inSteps(Number(digits ?? 0) * (sign === '-' ? -1 : 1), unit)
  const isPlain = !name && !edge && digits !== undefined
  if (isPlain && field === 'closes' && due) return afterDue(steps, due, place, context)
  if (isPlain && current === null) return counted(steps, context.from, place, context)
  const extent = name ? lessonsNamed(name, lessons) : current && { first: current, last: current }
  if (!extent) return null
  const isFirst = edge ? !/^(end|last)/.test(edge) : !ends
  return {
    kind: 'anchor',
    lessonId: isFirst ? extent.first : extent.last,
    edge: isFirst ? 'first' : 'last',
    offset: steps.count,
    step: steps.unit,
    at: place ?? (ends ? 'class-end' : 'class-start'),
  }
}

/** Steps from a moment that is no lesson's; back from it there is nothing to count. */
function counted(
  { count, unit }: Steps,
  { on, minuteOfDay }: CountedFrom,
  place: Place | null,
  { field }: Pick<ReadingContext, 'field'>,
): Moment | null {
  if (count < 1) return null
  const usual = isEnd(field) ? 'class-end' : 'class-start'
  if (unit === 'meetings') return { kind: 'meeting', on, minuteOfDay, count, at: place ?? usual }
  return onDay(addDays(on, count), place)
}

/** A day away from class has no class time. */
function onDay(on: IsoDay, place: Place | null): Moment | null {
  if (place === null || place === 'end-of-day') return { kind: 'day', on }
  return typeof place === 'object' ? { kind: 'time', on, ...place } : null
}

function afterDue(
  { count, unit }: Steps,
  { moment, on }: NonNullable<ReadingContext['due']>,
  place: Place | null,
  context: ReadingContext,
): Moment | null {
  if (count < 0) return null
  if (moment.kind === 'anchor' && (moment.step === unit || moment.offset === 0))
    return { ...moment, step: unit, offset: moment.offset + count, at: place ?? moment.at }
  if (moment.kind === 'meeting' && unit === 'meetings')
    return { ...moment, count: moment.count + count, at: place ?? moment.at }
  if (moment.kind === 'day' || moment.kind === 'time') {
    const minuteOfDay = moment.kind === 'day' ? 24 * 60 : moment.minuteOfDay
    if (unit === 'meetings') return counted({ count, unit }, { on: moment.on, minuteOfDay }, place, context)
    return place === null
      ? { ...moment, on: addDays(moment.on, count) }
      : onDay(addDays(moment.on, count), place)
  }
  // days after a meeting: a day only where all classes have the same one
  return unit === 'days' && on !== null ? onDay(addDays(on, count), place) : null
}

/** "end of w2.4 + 1 meeting": an edge, a name, and steps; each may be left out. */
const EDGE = /^(?:start|begin|beginning|first meeting|first|end|last meeting|last)(?: of)?(?: |$)/
const UNIT = '(meetings?|m|days?|d|weeks?|w)'
const STEP = new RegExp(`^(?: ?([+-]) ?(\\d{1,3}) ?${UNIT}?)?$`)
const COUNT = '(\\d{1,3}|an?|one|two|three|four|five)'
const IN_STEPS = new RegExp(`^in ${COUNT} ${UNIT}$`)
const STEPS_ON = new RegExp(`^${COUNT} ${UNIT} from (?:now|today)$`)
/** A time of day, told from a number by its sign of an hour. */
const PLACE = /^(?:class start|class end|end of day|end of the day|\d{1,2}:\d{2}(?: ?[ap]m)?|\d{1,2} ?[ap]m)$/

const NUMBER_WORDS: Readonly<Record<string, number>> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
}

/** "in 2 meetings", "2 meetings from now", "next meeting": steps that count from now, whatever the lesson. */
function stepsFromNow(about: string): Steps | null {
  if (/^(?:at )?(?:the )?next meeting$/.test(about)) return { count: 1, unit: 'meetings' }
  const [, number, unit] = IN_STEPS.exec(about) ?? STEPS_ON.exec(about) ?? []
  if (number === undefined) return null
  return inSteps(NUMBER_WORDS[number] ?? Number(number), unit)
}

/** A week is seven days. */
function inSteps(count: number, unit: string | undefined): Steps {
  return unit?.startsWith('w') ? { count: count * 7, unit: 'days' } : { count, unit: unitOf(unit) }
}

function unitOf(unit: string | undefined): Steps['unit'] {
  return unit?.startsWith('d') ? 'days' : 'meetings'
}

/** What is said of the lesson, and the place within the day at its end. */
function parted(words: string): { readonly about: string; readonly at: string | null } {
  const starts = [0, ...[...words.matchAll(/ /g)].map((m) => m.index + 1)]
  const from = starts.find((start) => PLACE.test(words.slice(start)))
  if (from === undefined) return { about: words, at: null }
  const about = words.slice(0, from).replace(/ at $/, ' ').replace(/^at $/, '').replace(/,? $/, '')
  return { about, at: words.slice(from) }
}

function placeOf(at: string, { clock }: Pick<ReadingContext, 'clock'>): Place | null {
  if (at === 'class start') return 'class-start'
  if (at === 'class end') return 'class-end'
  if (at === 'end of day' || at === 'end of the day') return 'end-of-day'
  const minuteOfDay = clock(at)
  return minuteOfDay === null ? null : { minuteOfDay }
}
