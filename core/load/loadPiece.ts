import { addDays, mondayOf } from '../base'
import type { Instant, IsoDay } from '../base'
import type { Zone } from '../calendar'
import type { LoadPiece } from './types'

/** The days on which a piece can be done: the first, and the last. */
export function daysToDo(
  { from, until }: { readonly from: Instant; readonly until: Instant },
  zone: Zone,
): Pick<LoadPiece, 'fromOn' | 'throughOn'> {
  // a moment at 00:00 belongs to the day that has just ended
  return { fromOn: zone.local(from).on, throughOn: zone.local((until - 1) as Instant).on }
}

/** The weeks around all of some pieces: those that may be weighed with them, and lighter days nearby. */
export function weeksAround(pieces: readonly [LoadPiece, ...LoadPiece[]]): {
  readonly from: IsoDay
  readonly through: IsoDay
} {
  const days = pieces.flatMap((p) => [p.fromOn, p.throughOn]).sort()
  const [first] = days as [IsoDay]
  const last = days.at(-1) ?? first
  return { from: addDays(mondayOf(first), -14), through: addDays(mondayOf(last), 20) }
}
