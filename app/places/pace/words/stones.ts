import type { LessonId } from '#core/base'
import type { Instant } from '#core/base'
import type { LostMeeting } from '#core/calendar'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDay, sayMinute } from '~/shared/words/times'

export const STONE_STATES = ['planned', 'under-way', 'passed', 'covered'] as const
/**
 * Recorded as covered; begun, by the record or the calendar; its meetings over but nothing recorded; still to
 * come.
 */
export type StoneState = (typeof STONE_STATES)[number]

/** How far a lesson is: by the record, and where there is none by the calendar at `now`. */
export function stoneState(
  column: DeskColumn,
  stretch: Extract<Stretch, { kind: 'stone' }>,
  now: Instant,
): StoneState {
  const record = column.of.pacing.records[stretch.lessonId]
  if (record) return record.outcome
  const extent = column.extents.get(stretch.lessonId)
  const first = extent && column.calendar.meetings[extent.first]
  const last = extent && column.calendar.meetings[extent.last]
  if (last && last.endsAt <= now) return 'passed'
  return first && first.startsAt <= now ? 'under-way' : 'planned'
}

const STATE_WORDS: Record<StoneState, string> = {
  planned: 'planned',
  'under-way': 'under way',
  passed: 'over, not recorded',
  covered: 'covered',
}
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth']
const ordinal = (index: number) => ORDINALS[index] ?? `${index + 1}th`

/** 'Science 8 B, Tue 6 Oct, lesson W2.3 Echoes, second of 2 meetings, planned'. */
export function sayStone(
  column: DeskColumn,
  stretch: Extract<Stretch, { kind: 'stone' }>,
  now: Instant,
): string {
  const lesson = column.lessons.get(stretch.lessonId)
  const extent = column.extents.get(stretch.lessonId)
  const at = column.calendar.meetings[stretch.meetings[0] ?? 0]
  const all = extent ? extent.last - extent.first + 1 : 1
  const nth = extent ? (stretch.meetings[0] ?? 0) - extent.first : 0
  const to = stretch.meetings.length > 1 ? ` to ${ordinal(nth + stretch.meetings.length - 1)}` : ''
  const which = all === 1 ? '' : `, ${ordinal(nth)}${to} of ${all} meetings`
  const fixed = isFixed(column, stretch.lessonId) ? ', fixed date' : ''
  return (
    `${column.of.name}, ${at ? sayDay(at.on) : ''}, lesson ${lesson?.number ?? ''} ` +
    `${lesson?.title ?? ''}${which}, ${STATE_WORDS[stoneState(column, stretch, now)]}${fixed}`
  )
}

/** Whether a lesson has a fixed date in a class, its own or the plan's. */
export function isFixed(column: DeskColumn, lessonId: LessonId): boolean {
  const own = column.of.pacing.fixed[lessonId]
  return own === undefined ? (column.lessons.get(lessonId)?.fixed ?? null) !== null : own !== 'free'
}

/** 'Science 8 B, Tue 6 Oct, free meeting'. */
export function sayBare(column: DeskColumn, stretch: Extract<Stretch, { kind: 'bare' }>): string {
  const m = column.calendar.meetings[stretch.meeting]
  return `${column.of.name}, ${m ? sayDay(m.on) : ''}, ${stretch.halves < 2 ? 'part of a meeting' : 'meeting'} free`
}

/** 'Science 8 B, Thu 22 Oct 8:30 am, lost: snow day'. */
export function sayLost(column: DeskColumn, lost: LostMeeting): string {
  return `${column.of.name}, ${sayDay(lost.on)} ${sayMinute(lost.startMinute)}, lost: ${lost.because}`
}
