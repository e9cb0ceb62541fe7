import type { LessonId } from '../../base'
import { leastAmount } from '../plan'
import { halvesBetween, inHalves } from '../track'
import type { Position } from '../track'
import type { Course } from './course'
import type { Item } from './item'
import { endOf } from './limits'

/** A run of lessons up to something that does not give way; counts in half meetings. */
export interface Reach {
  readonly lessonIds: readonly LessonId[]
  /** The fixed lesson it runs up to; null at the end of a part or the year. */
  readonly upTo: LessonId | null
  readonly endsBecause: 'fixed' | 'part' | 'year'
  readonly from: Position
  readonly to: Position
  readonly capacityHalves: number
  /** With the lengths as they are. */
  readonly needHalves: number
  /** With every lesson at its least and the optional ones left out. */
  readonly leastHalves: number
  /** Capacity less need; negative: short. */
  readonly slackHalves: number
}

/**
 * Cuts a course at its fixed dates and parts. A fixed lesson heads the stretch behind its date; one with a last
 * day closes its stretch. Free meetings before a fixed start are that stretch's slack.
 */
export function reachesOf(course: Course): readonly Reach[] {
  const { track, items, limits } = course
  const out: Reach[] = []
  let first = 0
  let from = course.from
  let cursor = course.from
  let fixedAt: Position = -1
  const close = (last: number, to: Position, end: StretchEnd) => {
    if (last > first || to > from) out.push(measured(course, { first, last, from, to }, end))
    first = last
    from = to
  }
  for (const [i, item] of items.entries()) {
    // a second lesson fixed on the same day stands in the stretch that the first one heads
    const isOn = item.startsAt >= 0 && item.startsAt !== fixedAt
    const heads = isOn || (item.startsAt < 0 && item.earliest > cursor && i > 0)
    if (isOn) fixedAt = item.startsAt
    if (heads && i > first)
      close(
        i,
        Math.max(item.earliest, from),
        item.fixed ? { upTo: item.lesson.id, endsBecause: 'fixed' } : { upTo: null, endsBecause: 'part' },
      )
    const limit = limits[i]?.at ?? track.end
    const end = endOf(track, item, item, cursor)
    if (end >= 0 && (end <= limit || item.startsAt >= 0)) cursor = end
    // a lesson with a first and a last day that waits for its first one heads the next stretch already
    if (item.hasLastDay && !(heads && item.fixed?.kind === 'within')) {
      // what is free up to the last day may still be used by what follows
      const stretch = { first, last: i + 1, from, to: limit }
      out.push(measured(course, stretch, { upTo: item.lesson.id, endsBecause: 'fixed' }))
      first = i + 1
      from = cursor
    }
  }
  const last = items[items.length - 1]
  const isInPart = last?.endsBecause === 'part'
  const end = isInPart ? last.endsBy : track.end
  close(items.length, end, { upTo: null, endsBecause: isInPart ? 'part' : 'year' })
  return out
}

type StretchEnd = Pick<Reach, 'upTo' | 'endsBecause'>
/** Items from `first` to before `last`, on the ground from one position to another. */
interface Stretched {
  readonly first: number
  readonly last: number
  readonly from: Position
  readonly to: Position
}

function measured(
  { track, items }: Course,
  { first, last, from, to }: Stretched,
  { upTo, endsBecause }: StretchEnd,
): Reach {
  const own = items.slice(first, last)
  const capacityHalves = halvesBetween(track, from, to)
  const needHalves = own.reduce((n, i) => n + inHalves(track, i, from), 0)
  return {
    lessonIds: own.map((i) => i.lesson.id),
    upTo,
    endsBecause,
    from,
    to,
    capacityHalves,
    needHalves,
    leastHalves: own.reduce((n, i) => n + leastOf(i, from, track), 0),
    slackHalves: round(capacityHalves - needHalves),
  }
}

function leastOf(item: Item, near: Position, track: Course['track']): number {
  if (item.lesson.weight === 'optional' && item.fixed === null) return 0
  return inHalves(track, { unit: item.unit, amount: Math.min(item.amount, leastAmount(item.lesson)) }, near)
}

function round(n: number): number {
  return Math.round(n * 100) / 100
}
