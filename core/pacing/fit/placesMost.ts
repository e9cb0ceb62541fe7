import type { Course, Item } from '../layout'
import { endOf, latestStart } from '../layout'
import type { Position, Track } from '../track'
import type { Choice } from './choices'

/** What a set of cuts comes to: lessons without a place, by weight, then what the cuts cost. */
interface Worth {
  readonly lost: number
  readonly price: number
}

const NOTHING: Worth = { lost: 0, price: 0 }
/** One core lesson without a place outweighs any number of useful ones, and one of these any of optional ones. */
const LOSS = { core: 100_000_000, useful: 10_000, optional: 1 } as const

/** Where a walk through a course stands. */
interface Standing {
  readonly cursor: Position
  /** The place that the lessons still to come need to keep their dates. */
  readonly limit: Position
  /** Lessons whose limit is no later have no place, since one before them has none; -1: nothing is blocked. */
  readonly blockedUntil: Position
}

/**
 * For a course that cannot fit: the choice for each item with which most lessons find a place when it is laid
 * out, core before useful before optional, and among these the cheapest. Exact, by the very rules of laying
 * out: a lesson without room stays out, and with it what follows it up to the next date. Since the limits of
 * a lesson hang on the lengths of later ones with a last day, a walk carries the limit that they will keep.
 */
export function placesMost(
  { track, items, from }: Course,
  choices: readonly (readonly Choice[])[],
): readonly Choice[] {
  const limits = possibleLimits(track, items, choices, from)
  const known = items.map(() => new Map<string, Worth>())
  const best = (i: number, at: Standing): Worth => {
    if (i === items.length) return NOTHING
    const key = `${at.cursor} ${at.limit} ${at.blockedUntil}`
    const ready = known[i]?.get(key)
    if (ready) return ready
    let least: Worth | null = null
    for (const [, next, own] of steps(i, at)) {
      const worth = sum(own, best(i + 1, next))
      if (least === null || isLess(worth, least)) least = worth
    }
    const found = least ?? { lost: Number.POSITIVE_INFINITY, price: 0 }
    known[i]?.set(key, found)
    return found
  }
  function* steps(i: number, at: Standing): Generator<readonly [Choice, Standing, Worth]> {
    const item = items[i] as Item
    for (const choice of choices[i] ?? [])
      for (const limit of limits[i + 1] ?? []) {
        if (limitBefore(track, item, choice, from, limit) !== at.limit) continue
        yield [choice, ...taken(track, item, choice, at, limit)]
      }
  }
  let at = firstOf(limits[0] ?? [], from, (standing) => best(0, standing))
  return items.map((_, i) => {
    const wanted = best(i, at)
    for (const [choice, next, own] of steps(i, at))
      if (isSame(sum(own, best(i + 1, next)), wanted)) {
        at = next
        return choice
      }
    throw new Error('no way through a course that has one')
  })
}

/** The best of the limits that a walk may begin with. */
function firstOf(limits: Iterable<Position>, from: Position, worthOf: (at: Standing) => Worth): Standing {
  let first: Standing | null = null
  let least: Worth | null = null
  for (const limit of limits) {
    const standing = { cursor: from, limit, blockedUntil: -1 }
    const worth = worthOf(standing)
    if (least !== null && !isLess(worth, least)) continue
    least = worth
    first = standing
  }
  return first as Standing
}

/** The limits that may hold before each item, whatever is chosen from it on. */
function possibleLimits(
  track: Track,
  items: readonly Item[],
  choices: readonly (readonly Choice[])[],
  from: Position,
): readonly ReadonlySet<Position>[] {
  const out: Set<Position>[] = [...items.map(() => new Set<Position>()), new Set([track.end])]
  for (let i = items.length - 1; i >= 0; i--)
    for (const after of out[i + 1] as Set<Position>)
      for (const choice of choices[i] ?? [])
        out[i]?.add(limitBefore(track, items[i] as Item, choice, from, after))
  return out
}

/** The limit for what stands before an item, from the limit behind it. */
function limitBefore(
  track: Track,
  item: Item,
  { amount }: Choice,
  from: Position,
  after: Position,
): Position {
  if (amount === 0) return after
  const latest = latestStart(track, item, amount, from, Math.min(after, item.endsBy))
  return latest >= 0 ? Math.min(latest, after) : after
}

/** One item laid as laying out does it. */
function taken(
  track: Track,
  item: Item,
  { amount, price }: Choice,
  { cursor, blockedUntil }: Standing,
  limit: Position,
): readonly [Standing, Worth] {
  const lost = item.lesson.kind === 'buffer' ? 0 : LOSS[item.lesson.weight]
  if (amount === 0)
    return [
      { cursor, limit, blockedUntil },
      { lost, price },
    ]
  const most = Math.min(limit, item.endsBy)
  if (most <= blockedUntil)
    return [
      { cursor, limit, blockedUntil },
      { lost, price },
    ]
  const end = endOf(track, item, { unit: item.unit, amount }, cursor)
  return end < 0 || end > most
    ? [
        { cursor, limit, blockedUntil: most },
        { lost, price },
      ]
    : [
        { cursor: end, limit, blockedUntil: -1 },
        { lost: 0, price },
      ]
}

function sum(a: Worth, b: Worth): Worth {
  return { lost: a.lost + b.lost, price: a.price + b.price }
}

function isLess(a: Worth, b: Worth): boolean {
  return a.lost === b.lost ? a.price < b.price : a.lost < b.lost
}

function isSame(a: Worth, b: Worth): boolean {
  return a.lost === b.lost && a.price === b.price
}
