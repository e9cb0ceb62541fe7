import type { IsoDay } from '#core/base'
import type { Seen } from '#core/pacing'
import { count } from './numbers'
import { sayDay } from './times'

type Side = 'seen' | 'now'
type YearPart = Extract<Seen, { of: 'year' }>['changed'][number]

const YEAR_PARTS: Record<YearPart, string> = {
  name: 'name',
  zone: 'time zone',
  firstOn: 'first day',
  lastOn: 'last day',
  weekdays: 'school days',
  terms: 'terms',
  notes: 'closures and short days',
  rotation: 'day letters',
  wholeFromRatio: 'share of a short meeting',
  freeTime: 'what events leave of a meeting',
}

/** What one side of a change was: '1.5 meetings', 'another order'. */
export function saySeen(value: Seen, side: Side): string {
  switch (value.of) {
    case 'length':
      return sayLength(value)
    case 'meeting':
      return sayChange(value.change)
    case 'lesson':
      return sayLesson(value.lesson)
    case 'day-note':
      return value.note?.name ?? 'no such day'
    case 'class-part':
      return sayPart(value.value)
    case 'order':
      return side === 'seen' ? 'the order you saw' : 'another order'
    case 'pattern':
      return side === 'seen' ? 'the meeting times as they were opened' : 'other meeting times'
    case 'titles':
      return value.titles.join(', ') || 'none'
    case 'year':
      return side === 'seen'
        ? 'the year as it was opened'
        : `other ${value.changed.map((part) => YEAR_PARTS[part]).join(', ')}`
  }
}

function sayLength({ unit, amount }: Extract<Seen, { of: 'length' }>): string {
  if (amount === null) return 'as in the plan'
  return unit === 'minutes' ? count(amount, 'minute') : `${amount / 2} meetings`
}

function sayChange(change: Extract<Seen, { of: 'meeting' }>['change']): string {
  if (change === null) return 'as in the timetable'
  return change.kind === 'cancel' ? `lost (${change.why})` : count(change.minutes, 'minute')
}

function sayLesson(lesson: Extract<Seen, { of: 'lesson' }>['lesson']): string {
  if (lesson === null) return 'no such lesson'
  const { min, typical, max, unit } = lesson.length
  return `${lesson.number} ${lesson.title}, ${min}–${typical}–${max} ${unit}, ${lesson.weight}`
}

/** Parts of what a class does differently, told by what they hold. */
function sayPart(value: unknown): string {
  if (value === null || value === undefined) return 'as in the plan'
  if (typeof value === 'string') return value
  if (Array.isArray(value)) return 'another order'
  const of = value as {
    readonly kind?: string
    readonly on?: IsoDay
    readonly fromOn?: IsoDay
    readonly outcome?: string
    readonly title?: string
  }
  if (of.outcome) return of.outcome
  if (of.title) return of.title
  if (of.on) return `${of.kind ?? 'through'} ${sayDay(of.on)}`
  return of.fromOn ? `from ${sayDay(of.fromOn)}` : 'another value'
}
