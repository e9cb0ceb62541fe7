import type { LessonId } from '../../base'
import type { Course, Item } from '../layout'
import { leastAmount } from '../plan'
import type { ClassPacing } from '../plan'
import { inHalves, place, startAt } from '../track'
import type { Position, Track } from '../track'
import { priceOfCut } from './price'

/** A shortening (`to` > 0) or an omission (`to` = 0), in the lesson's own unit: half meetings or minutes. */
export interface Cut {
  readonly lessonId: LessonId
  readonly unit: 'meetings' | 'minutes'
  readonly from: number
  readonly to: number
  readonly price: number
}

export interface Fit {
  /** Everything that is not cut lies within its stretch. */
  readonly fits: boolean
  readonly cuts: readonly Cut[]
  readonly price: number
}

export interface FitInput {
  /** Lessons that may be cut; absent: all. */
  readonly among?: ReadonlySet<LessonId>
  /** Lessons the teacher wants as they are. */
  readonly keep?: ReadonlySet<LessonId>
  /** Lessons the teacher wants left out, at no price. */
  readonly leaveOut?: ReadonlySet<LessonId>
  /** What may be done: everything; only leaving out optional lessons; only eating buffers. */
  readonly by?: 'all' | 'optional' | 'buffers'
  /**
   * A place by which the items before this index have to end, kept beside the fixed dates: slack that is to
   * stay.
   */
  readonly endBefore?: { readonly index: number; readonly at: Position }
}

interface Choice {
  readonly amount: number
  readonly price: number
}

/** Prices in thousandths, so that sums are whole numbers and ties are exact. */
const MILLI = 1000
const NEVER = Number.POSITIVE_INFINITY

/**
 * The cheapest set of shortenings (typical towards least, in halves or 5 minutes) and omissions (optional and
 * useful; core and fixed lessons never)
 * with which a course fits, exactly: a dynamic program over (lesson, position), forwards through the very
 * placing that lays lessons out.
 * Price = weight × meetings taken away + a fixed price per omission; among equal prices earlier lessons are
 * cut least. When nothing
 * fits, everything that may be cut is cut and `fits` is false.
 */
export function fit(course: Course, input: FitInput = {}): Fit {
  const { track, items } = course
  const choices = items.map((item) => choicesOf(track, item, input))
  const best = items.map(() => new Map<Position, number>())
  const solve = (i: number, cursor: Position): number => {
    if (i === items.length) return 0
    const memo = best[i] as Map<Position, number>
    const known = memo.get(cursor)
    if (known !== undefined) return known
    let least = NEVER
    for (const choice of choices[i] as Choice[]) {
      if (choice.price >= least) continue
      const next = after(track, items[i] as Item, choice, cursor, i, input)
      if (next >= 0) least = Math.min(least, choice.price + solve(i + 1, next))
    }
    memo.set(cursor, least)
    return least
  }
  const price = solve(0, course.from)
  if (price === NEVER) return everythingCut(items, choices)
  const cuts: Cut[] = []
  let cursor = course.from
  for (const [i, item] of items.entries()) {
    for (const choice of choices[i] as Choice[]) {
      const next = after(track, item, choice, cursor, i, input)
      if (next < 0 || choice.price + solve(i + 1, next) !== solve(i, cursor)) continue
      if (choice.amount !== item.amount) cuts.push(cutOf(item, choice))
      cursor = next
      break
    }
  }
  return { fits: true, cuts, price: price / MILLI }
}

/** Where the cursor stands behind an item cut so, or -1 when that breaks a bound. */
function after(
  track: Track,
  item: Item,
  choice: Choice,
  cursor: Position,
  index: number,
  { endBefore }: FitInput,
): Position {
  let end = cursor
  if (choice.amount > 0) {
    // a record beyond a fixed date cannot be cured by cutting: the lesson then comes late, as laying out has
    // it
    const start =
      item.startsAt >= 0
        ? Math.max(cursor, item.startsAt)
        : startAt(track, Math.max(cursor, item.earliest), item.lesson.notAfterBreak)
    if (item.startsAt >= 0 && cursor > item.startsAt && index > 0) return -1
    end = place(track, { unit: item.unit, amount: choice.amount }, start)
    if (end < 0 || (end > item.endsBy && !(item.startsAt >= 0 && index === 0))) return -1
  }
  return endBefore && index === endBefore.index - 1 && end > endBefore.at ? -1 : end
}

/** What may be done with an item, uncut first, then ever less, left out last. */
function choicesOf(track: Track, item: Item, { among, keep, leaveOut, by = 'all' }: FitInput): Choice[] {
  const { lesson, unit } = item
  if (leaveOut?.has(lesson.id)) return [{ amount: 0, price: 0 }]
  const whole: Choice = { amount: item.amount, price: 0 }
  if ((among && !among.has(lesson.id)) || keep?.has(lesson.id)) return [whole]
  const isBuffer = lesson.kind === 'buffer'
  if (by === 'buffers' && !isBuffer) return [whole]
  const priceOf = (amount: number) =>
    Math.round(
      MILLI * priceOfCut(lesson, inHalves(track, { unit, amount: item.amount - amount }, 0), amount === 0),
    )
  const choices = [whole]
  if (by !== 'optional' || isBuffer) {
    const step = unit === 'minutes' ? 5 : 1
    const least = isBuffer ? 1 : leastAmount(lesson)
    for (let amount = item.amount - step; amount >= least; amount -= step)
      choices.push({ amount, price: priceOf(amount) })
  }
  const mayGo =
    item.fixed === null &&
    (isBuffer || lesson.weight === 'optional' || (by === 'all' && lesson.weight === 'useful'))
  if (mayGo) choices.push({ amount: 0, price: priceOf(0) })
  return choices
}

function cutOf({ lesson, unit, amount }: Item, choice: Choice): Cut {
  return { lessonId: lesson.id, unit, from: amount, to: choice.amount, price: choice.price / MILLI }
}

function everythingCut(items: readonly Item[], choices: readonly Choice[][]): Fit {
  const cuts = items.flatMap((item, i) => {
    const last = choices[i]?.[choices[i].length - 1] as Choice
    return last.amount === item.amount ? [] : [cutOf(item, last)]
  })
  return { fits: false, cuts, price: cuts.reduce((n, c) => n + c.price, 0) }
}

/** A class's pacing with cuts made. */
export function withCuts(pacing: ClassPacing, cuts: readonly Cut[]): ClassPacing {
  const lengths = { ...pacing.lengths }
  const left = { ...pacing.left }
  for (const cut of cuts) {
    if (cut.to === 0) left[cut.lessonId] = 'let-go'
    else lengths[cut.lessonId] = cut.to
  }
  return { ...pacing, lengths, left }
}
