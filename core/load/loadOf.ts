import { mondayOf } from '../base'
import type { IsoDay, UserId } from '../base'
import type { LearnerLoad, Load, LoadPiece, Spread } from './types'

/**
 * What learners carry on each school day and in each week. A piece's minutes are spread evenly over the school days of
 * its window, both ends included, or lie on its last one; a window without a school day counts on the next one, or,
 * where there is none, on the last. Pieces outside `days` count nowhere; of one that reaches out of them only the days
 * within do, each with its share of the whole window as far as it is known.
 * @param days school days in order.
 * @param learnerIds who is to be told of, in order; a learner without pieces carries nothing.
 */
export function loadOf(
  pieces: readonly LoadPiece[],
  days: readonly IsoDay[],
  learnerIds: readonly UserId[],
  spread: Spread,
): Load {
  const weeks = [...new Set(days.map(mondayOf))]
  const placeOf = new Map(weeks.map((week, i) => [week, i]))
  const weekOf = days.map((day) => placeOf.get(mondayOf(day)) ?? 0)
  const of = { days, weekOf, weeks: weeks.length }
  const tallies = new Map(learnerIds.map((id) => [id, noneOf(of)]))
  for (const piece of pieces) {
    const span = spanOf(piece, days)
    if (span === null) continue
    const [first, last] = spread === 'due' ? [span[1], span[1]] : span
    for (const id of piece.learnerIds) {
      const tally = tallies.get(id)
      if (tally) count(tally, piece, { first, last, week: weekOf[last] ?? 0 })
    }
  }
  return {
    days,
    weeks,
    learners: [...tallies].map(([learnerId, { changes, pieces, tests }]) => ({
      learnerId,
      ...addedUp(changes, of),
      pieces,
      tests,
    })),
  }
}

interface Places {
  readonly days: readonly IsoDay[]
  /** The place of each day's week. */
  readonly weekOf: readonly number[]
  readonly weeks: number
}

interface Tally {
  /** What comes to be carried at each place, less what ends before it: added up they are the load of each day. */
  readonly changes: number[]
  readonly pieces: number[]
  readonly tests: number[]
}

function noneOf({ days, weeks }: Places): Tally {
  return {
    changes: new Array<number>(days.length + 1).fill(0),
    pieces: new Array<number>(weeks).fill(0),
    tests: new Array<number>(days.length).fill(0),
  }
}

function count(
  { changes, pieces, tests }: Tally,
  { minutes, isTest }: LoadPiece,
  { first, last, week }: { readonly first: number; readonly last: number; readonly week: number },
): void {
  const share = minutes / (last - first + 1)
  changes[first] = (changes[first] ?? 0) + share
  changes[last + 1] = (changes[last + 1] ?? 0) - share
  pieces[week] = (pieces[week] ?? 0) + 1
  if (isTest) tests[last] = (tests[last] ?? 0) + 1
}

/** The places of a window's first and last school day; null: it lies outside of all of them. */
function spanOf({ fromOn, throughOn }: LoadPiece, days: readonly IsoDay[]): readonly [number, number] | null {
  const [first, last] = [days[0], days.at(-1)]
  if (first === undefined || last === undefined || throughOn < first || fromOn > last) return null
  const start = placeFrom(days, fromOn)
  const end = placeFrom(days, throughOn)
  // a last day on which there is no school ends on the school day before it
  const through = days[end] === throughOn ? end : end - 1
  if (through >= start) return [start, through]
  const next = Math.min(start, days.length - 1)
  return [next, next]
}

/** The place of the first day that is not before `on`; as many as there are days: all are. */
function placeFrom(days: readonly IsoDay[], on: IsoDay): number {
  let low = 0
  let high = days.length
  while (low < high) {
    const middle = (low + high) >> 1
    if ((days[middle] as IsoDay) < on) low = middle + 1
    else high = middle
  }
  return low
}

/** So small that it is a rest of adding and taking away. */
const REST = 1e-9

function addedUp(changes: readonly number[], of: Places): Pick<LearnerLoad, 'days' | 'weeks'> {
  const weeks = new Array<number>(of.weeks).fill(0)
  let carried = 0
  const days = of.days.map((_, i) => {
    carried += changes[i] ?? 0
    if (Math.abs(carried) < REST) carried = 0
    const week = of.weekOf[i] ?? 0
    weeks[week] = (weeks[week] ?? 0) + carried
    return carried
  })
  return { days, weeks }
}
