import type { Instant } from '#core/base'
import type { LostMeeting } from '#core/calendar'
import type { Stretch } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'
import { sayDay, sayMinute } from './times'

export const STONE_STATES = ['planned', 'under-way', 'behind'] as const
/** By the calendar: still to come, begun, or all its meetings over. */
export type StoneState = typeof STONE_STATES[number]

/** How far a lesson is by the calendar at `now`. */
export function stoneState(column: DeskColumn, stretch: Extract<Stretch, { kind: 'stone' }>, now: Instant): StoneState {
  const extent = column.extents.get(stretch.lessonId)
  const first = extent && column.calendar.meetings[extent.first]
  const last = extent && column.calendar.meetings[extent.last]
  if (last && last.endsAt <= now) return 'behind'
  return first && first.startsAt <= now ? 'under-way' : 'planned'
}

const STATE_WORDS: Record<StoneState, string> = { 'planned': 'planned', 'under-way': 'under way', 'behind': 'over' }
const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth']

/** 'Science 8 B, Tue 6 Oct, lesson W2.3 Echoes, second of 2 meetings, planned'. */
export function sayStone(column: DeskColumn, stretch: Extract<Stretch, { kind: 'stone' }>, now: Instant): string {
  const lesson = column.lessons.get(stretch.lessonId)
  const extent = column.extents.get(stretch.lessonId)
  const at = column.calendar.meetings[stretch.meetings[0] ?? 0]
  const all = extent ? extent.last - extent.first + 1 : 1
  const nth = extent ? (stretch.meetings[0] ?? 0) - extent.first : 0
  const which = all === 1 ? '' : `, ${ORDINALS[nth] ?? `${nth + 1}th`}${stretch.meetings.length > 1 ? ` to ${ORDINALS[nth + stretch.meetings.length - 1] ?? `${nth + stretch.meetings.length}th`}` : ''} of ${all} meetings`
  return `${column.of.name}, ${at ? sayDay(at.on) : ''}, lesson ${lesson?.number ?? ''} ${lesson?.title ?? ''}${which}, ${STATE_WORDS[stoneState(column, stretch, now)]}`
}

/** 'Science 8 B, Tue 6 Oct, free meeting'. */
export function sayBare(column: DeskColumn, stretch: Extract<Stretch, { kind: 'bare' }>): string {
  const m = column.calendar.meetings[stretch.meeting]
  return `${column.of.name}, ${m ? sayDay(m.on) : ''}, ${stretch.halves === 1 ? 'half a meeting' : 'meeting'} free`
}

/** 'Science 8 B, Thu 22 Oct 8:30 am, lost: snow day'. */
export function sayLost(column: DeskColumn, lost: LostMeeting): string {
  return `${column.of.name}, ${sayDay(lost.on)} ${sayMinute(lost.startMinute)}, lost: ${lost.because}`
}
