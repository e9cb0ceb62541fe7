import type { Instant } from '../../base'
import type { ClassCalendar } from '../../calendar'
import { typicalAmount } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'

/** Meetings' worth of trust in the plan's own lengths, before a class has shown its own. */
export const PRIOR_MEETINGS = 10
const PRIOR_LESSONS = 6
const PRIOR_SPREAD = 0.25
const PRIOR_LOSSES = 0.5
const PRIOR_HELD = 25

/** How a class has gone so far. Ratios; `spreadRatio` is the standard deviation of a lesson's log ratio. */
export interface Pace {
  readonly lessons: number
  readonly usedRatio: number
  readonly spreadRatio: number
  readonly lossRatio: number
  readonly lost: number
  readonly held: number
}

/**
 * A class's own pace: meetings used for each meeting planned, shrunk toward 1 by ten meetings' worth of plan; the
 * spread between lessons, shrunk toward a quarter; and the share of meetings lost at short notice (cancelled, not
 * closed in the calendar), shrunk toward half a meeting in 25.
 */
export function paceOf(
  sequence: readonly PlanLesson[],
  pacing: ClassPacing,
  calendar: ClassCalendar,
  now: Instant,
): Pace {
  let [used, planned, squares, lessons] = [0, 0, 0, 0]
  for (const lesson of sequence) {
    const record = pacing.records[lesson.id]
    if (record?.outcome !== 'covered' || lesson.length.unit !== 'meetings' || lesson.kind === 'buffer')
      continue
    const took = record.held.reduce((n, h) => n + h.halves, 0)
    used += took
    planned += typicalAmount(lesson)
    squares += Math.log(took / typicalAmount(lesson)) ** 2
    lessons++
  }
  const prior = PRIOR_MEETINGS * 2
  const held = calendar.meetings.filter((m) => m.startsAt <= now).length
  // a meeting called off long before is planned for; only what was lost so far is a habit
  const lost = calendar.lost.filter((l) => l.cause === 'cancelled' && l.startsAt <= now).length
  return {
    lessons,
    usedRatio: (used + prior) / (planned + prior),
    spreadRatio: Math.sqrt((squares + PRIOR_LESSONS * PRIOR_SPREAD ** 2) / (lessons + PRIOR_LESSONS)),
    lossRatio: (lost + PRIOR_LOSSES) / (held + lost + PRIOR_HELD),
    lost,
    held,
  }
}
