import { fromPublishing } from '../availability'
import type { Instant } from '../base'
import type { Caution } from './caution'
import type { ClassAtLastLook, LastLookFacts } from './facts'

/** When it opens and is due in a class, and what one absence would miss. */
export function ofWindow(of: ClassAtLastLook, { now, from }: LastLookFacts): readonly Caution[] {
  const { classId, window, pieces, span } = of
  const late = pieces.filter((p) => isPast(p.window?.due, now))
  const ofPieces = late.map(({ pieceId }): Caution => ({ code: 'due-in-past', classId, pieceId }))
  if (window === null) return ofPieces
  // nothing else matters once it is over
  if (isPast(window.due, now)) return [{ code: 'due-in-past', classId, pieceId: null }]
  const found: Caution[] = [...ofPieces]
  if (span?.tight) found.push({ code: 'tight', classId, meetings: span.meetings })
  if (isPast(window.opens, now)) found.push({ code: 'opens-at-once', classId })
  if (window.due !== null) found.push(...ofDueDay(of, window.due, fromPublishing(window, from).opens ?? from))
  return found
}

const isPast = (at: Instant | null | undefined, now: Instant) => at !== null && at !== undefined && at <= now

function ofDueDay({ classId, ground, termEnds }: ClassAtLastLook, due: Instant, opens: Instant): Caution[] {
  // a due moment at 00:00 belongs to the day that just ended
  const dayOf = (at: Instant) => ground.zone.local(at).on
  const on = dayOf((due - 1) as Instant)
  const found: Caution[] = []
  if (!ground.meetings.some((m) => m.on === on)) {
    const meeting = ground.meetings.find((m) => m.on > on)
    const next = meeting ? { on: meeting.on, minuteOfDay: meeting.startMinute + meeting.minutes } : null
    found.push({ code: 'no-meeting-on-due-day', classId, on, next })
  }
  const termEndsOn = termEnds.find((end) => dayOf(opens) <= end)
  if (termEndsOn !== undefined && on > termEndsOn) found.push({ code: 'past-term', classId, on, termEndsOn })
  return found
}
