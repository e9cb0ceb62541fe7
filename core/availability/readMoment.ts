import type { LessonId } from '../base'
import type { Anchor, Moment, WindowField } from './types'
import { isEnd } from './resolveMoment'

/** A lesson that a moment may hang on, by the number that people write, such as "W2.4". */
export interface NamedLesson {
  readonly id: LessonId
  readonly number: string
}

/** What words about a lesson are read against. */
export interface ReadingContext {
  readonly field: WindowField
  /** In the plan's order. */
  readonly lessons: readonly NamedLesson[]
  /** The lesson that is meant when none is named; null: there is none. */
  readonly current: LessonId | null
  /** Reads a clock time such as "3pm"; null when it is none. */
  readonly clock: (text: string) => number | null
}

/**
 * A moment that somebody typed about a lesson: "+3 meetings", "W2.4", "end of W2.4", "start of W3" (a whole unit),
 * "last of W2.4 + 1 day, 3pm", "class end". What is left out is what is usual for the field: starts stand at the first
 * meeting's start, ends at the last meeting's end. Null when it is about no lesson that is known.
 * @example "+2 meetings" as due, with W2.4 the current lesson: two meetings after its last, at class end.
 */
export function readMoment(text: string, context: ReadingContext): Moment | null {
  const { field } = context
  const ends = isEnd(field)
  const words = text.trim().toLowerCase().replace(/[−–]/g, '-').replace(/\s+/g, ' ')
  const { about, at } = parted(words)
  const [edge = ''] = EDGE.exec(about) ?? []
  const [name = ''] = NAME.exec(about.slice(edge.length)) ?? []
  const step = STEP.exec(about.slice(edge.length + name.length))
  if (!step || words === '') return null
  const [, sign, count, unit] = step
  if (!name && !count && !at) return null
  const extent = lessonsOf(name, context)
  const place = at ? placeOf(at, context) : null
  if (!extent || (at && !place)) return null
  const isFirst = edge ? !/^(end|last)/.test(edge) : !ends
  const offset = Number(count ?? 0) * (sign === '-' ? -1 : 1)
  return {
    kind: 'anchor',
    lessonId: isFirst ? extent.first : extent.last,
    edge: isFirst ? 'first' : 'last',
    offset,
    step: unit?.startsWith('d') ? 'days' : 'meetings',
    at: place ?? (ends ? 'class-end' : 'class-start'),
  }
}

/** "end of w2.4 + 1 meeting": an edge, a name, and steps; each may be left out. */
const EDGE = /^(?:start|begin|beginning|first meeting|first|end|last meeting|last)(?: of)?(?: |$)/
const NAME = /^[a-z]+\d+(?:\.\d+)*/
const STEP = /^(?: ?([+-]) ?(\d{1,3}) ?(meetings?|m|days?|d)?)?$/
/** A time of day, told from a number by its sign of an hour. */
const PLACE = /^(?:class start|class end|end of day|end of the day|\d{1,2}:\d{2}(?: ?[ap]m)?|\d{1,2} ?[ap]m)$/

/** What is said of the lesson, and the place within the day at its end. */
function parted(words: string): { readonly about: string; readonly at: string | null } {
  const starts = [0, ...[...words.matchAll(/ /g)].map((m) => m.index + 1)]
  const from = starts.find((start) => PLACE.test(words.slice(start)))
  if (from === undefined) return { about: words, at: null }
  const about = words.slice(0, from).replace(/ at $/, ' ').replace(/^at $/, '').replace(/,? $/, '')
  return { about, at: words.slice(from) }
}

/** The first and last lesson of a name: a lesson by its number, or all lessons of a unit. */
function lessonsOf(
  name: string | undefined,
  { lessons, current }: ReadingContext,
): { readonly first: LessonId; readonly last: LessonId } | null {
  if (!name) return current === null ? null : { first: current, last: current }
  const one = lessons.find((l) => l.number.toLowerCase() === name)
  if (one) return { first: one.id, last: one.id }
  const ofUnit = lessons.filter((l) => l.number.toLowerCase().startsWith(`${name}.`))
  const [first] = ofUnit
  const last = ofUnit.at(-1)
  return first && last ? { first: first.id, last: last.id } : null
}

function placeOf(at: string, { clock }: ReadingContext): Anchor['at'] | null {
  if (at === 'class start') return 'class-start'
  if (at === 'class end') return 'class-end'
  if (at === 'end of day' || at === 'end of the day') return 'end-of-day'
  const minuteOfDay = clock(at)
  return minuteOfDay === null ? null : { minuteOfDay }
}
