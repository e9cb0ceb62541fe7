import { endOf } from '../layout'
import type { Course, Item } from '../layout'
import type { ClassPacing } from '../plan'
import type { Position, Track } from '../track'
import { MILLI, choicesOf } from './choices'
import type { Choice } from './choices'
import { placesMost } from './placesMost'
import { shortfalls } from './shortfalls'
import type { Cut, Fit, FitInput } from './types'

const NEVER = Number.POSITIVE_INFINITY

/**
 * The cheapest set of shortenings (typical towards least, in halves or 5 minutes) and omissions (optional and
 * useful; core and fixed lessons never) with which a course fits, exactly: a dynamic program over (lesson,
 * position), forwards through the very placing that lays lessons out. Price = weight × meetings taken away + a
 * fixed price per omission; among equal prices earlier lessons are cut least. When nothing fits, `fits` is false,
 * `short` says where and by how much, and only that is cut which lets more lessons find a place: core ones first,
 * then useful, then optional ones, then at the least price. (With `endBefore` nothing is cut then.)
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
      const next = after(track, items[i] as Item, choice, cursor)
      if (next >= 0 && !isTooLate(i, next, input)) least = Math.min(least, choice.price + solve(i + 1, next))
    }
    memo.set(cursor, least)
    return least
  }
  const price = solve(0, course.from)
  if (price === NEVER)
    return input.endBefore ? { fits: false, cuts: [], price: 0, short: [] } : asFarAsItGoes(course, choices)
  const cuts: Cut[] = []
  let cursor = course.from
  for (const [i, item] of items.entries()) {
    for (const choice of choices[i] as Choice[]) {
      const next = after(track, item, choice, cursor)
      if (next < 0 || isTooLate(i, next, input) || choice.price + solve(i + 1, next) !== solve(i, cursor))
        continue
      if (choice.amount !== item.amount) cuts.push(cutOf(item, choice))
      cursor = next
      break
    }
  }
  return { fits: true, cuts, price: price / MILLI, short: [] }
}

/** Where the cursor stands behind an item cut so, or -1 when that breaks a bound. */
function after(track: Track, item: Item, choice: Choice, cursor: Position): Position {
  if (choice.amount === 0) return cursor
  if (item.startsAt >= 0 && cursor > item.startsBy) return -1
  const end = endOf(track, item, { unit: item.unit, amount: choice.amount }, cursor)
  return end > item.endsBy ? -1 : end
}

/** Whether what has to end before some item ends too late for it. */
function isTooLate(index: number, end: Position, { endBefore }: FitInput): boolean {
  return endBefore !== undefined && index === endBefore.index - 1 && end > endBefore.at
}

function cutOf({ lesson, unit, amount }: Item, choice: Choice): Cut {
  return { lessonId: lesson.id, unit, from: amount, to: choice.amount, price: choice.price / MILLI }
}

/** The cuts with which most finds a place, where not everything can. */
function asFarAsItGoes(course: Course, choices: readonly Choice[][]): Fit {
  const { items } = course
  const chosen = placesMost(course, choices)
  const cuts = items.flatMap((item, i) => {
    const choice = chosen[i]
    return choice === undefined || choice.amount === item.amount ? [] : [cutOf(item, choice)]
  })
  return {
    fits: false,
    cuts,
    price: cuts.reduce((n, c) => n + c.price, 0),
    short: shortfalls(course, choices),
  }
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
