import type { IsoDay } from '../base'
import type { PlacedDays } from './types'

/**
 * Through which day a piece stays that is laid on a day: that of the class's `stays`-th meeting afterwards, or of its
 * last one. A class without a meeting afterwards has it on that day only. `stays` null: without an end.
 */
export function throughOf(on: IsoDay, meetingDays: readonly IsoDay[], stays: number | null): IsoDay | null {
  if (stays === null) return null
  const after = daysAfter(on, meetingDays)
  return after[stays - 1] ?? after.at(-1) ?? on
}

/** Over how many meetings of a class it stays after its first day; null: without an end. */
export function staysOf({ opensOn, throughOn }: PlacedDays, meetingDays: readonly IsoDay[]): number | null {
  if (throughOn === null) return null
  return Math.max(1, daysAfter(opensOn, meetingDays).filter((day) => day <= throughOn).length)
}

function daysAfter(on: IsoDay, meetingDays: readonly IsoDay[]): readonly IsoDay[] {
  return [...new Set(meetingDays)].filter((day) => day > on).sort()
}

/** Days for so many pieces in order, one each, from a day on; where days run out, the last pieces have none. */
export function oneADay(pieces: number, days: readonly IsoDay[], from: IsoDay): readonly IsoDay[] {
  return [...new Set(days)]
    .filter((day) => day >= from)
    .sort()
    .slice(0, pieces)
}
