import { addDays, isoDay } from '#core/base'
import type { IsoDay } from '#core/base'
import type { FixedDate, PlanLesson } from '#core/pacing'
import { aLesson } from './made'

/** A chance of whole numbers below n. */
type UpTo = (n: number) => number

/** A meeting as laying out takes it. */
export interface Room {
  readonly on: IsoDay
  readonly startMinute: number
  readonly minutes: number
  readonly usualMinutes: number
  readonly afterBreak: boolean
}

const FIRST = isoDay('2026-09-01')

/** Three to eight meetings of 50 minutes or 25, some after a break. */
export function someRooms(upTo: UpTo): Room[] {
  let on = FIRST
  return Array.from({ length: 3 + upTo(6) }, (_, m): Room => {
    const gap = 1 + (upTo(5) === 0 ? 4 : upTo(2))
    if (m > 0) on = addDays(on, gap)
    const minutes = upTo(5) === 0 ? 25 : 50
    return { on, startMinute: 540, minutes, usualMinutes: 50, afterBreak: m > 0 && gap > 2 }
  })
}

/** Two to six lessons in halves or minutes, every second one with a date of some kind, in order. */
export function someDated(upTo: UpTo): PlanLesson[] {
  let days = 0
  return Array.from({ length: 2 + upTo(5) }, (_, i): PlanLesson => {
    days += upTo(3)
    const day = addDays(FIRST, days)
    const dates: readonly FixedDate[] = [
      { kind: 'on', on: day },
      { kind: 'on', on: day },
      { kind: 'not-after', on: addDays(day, 3) },
      { kind: 'not-before', on: day },
      { kind: 'within', fromOn: day, throughOn: addDays(day, 4) },
    ]
    const unit = upTo(3) === 0 ? 'minutes' : 'meetings'
    const typical = unit === 'minutes' ? 10 * (1 + upTo(8)) : (1 + upTo(5)) / 2
    return aLesson(`l${i}`, 1, {
      fixed: upTo(2) === 0 ? (dates[upTo(5)] ?? null) : null,
      notAfterBreak: upTo(4) === 0,
      length: { unit, min: typical, typical, max: typical },
    })
  })
}
