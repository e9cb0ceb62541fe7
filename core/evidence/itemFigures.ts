import type { AttemptScore, ItemScore } from '../attempts'
import { groupBy } from '../base'
import type { ItemId } from '../base'
import {
  chosenIn,
  givenInWords,
  isChosenAmong,
  isOmitted,
  isScoredByHand,
  optionsOf,
  scoreItem,
} from '../library'
import type { Answer, Item } from '../library'
import { correlationOf } from './correlation'
import type { CommonAnswer, ItemFigures } from './types'

/** Below this many tries a share says little. */
export const FEW = 8

/** A try's answers, and the items that it had; null: all. */
export interface AnsweredTry {
  readonly answers: ReadonlyMap<ItemId, Answer>
  readonly itemIds: readonly ItemId[] | null
  /** What it has earned, for items that a person scores. */
  readonly score: Pick<AttemptScore, 'items'> | null
}

/**
 * Figures of each item over the given tries that had it, hardest (lowest share of points) first; ties in the
 * order of the piece, and what nobody had last.
 */
export function itemFigures(items: readonly Item[], tries: readonly AnsweredTry[]): ItemFigures[] {
  const earned = new Map(tries.map((t) => [t, earnedIn(items, t)]))
  const figures = items.map((item): ItemFigures => {
    const options: Record<string, number> = Object.fromEntries(optionsOf(item).map((o) => [o.id, 0]))
    let rightCount = 0
    let omittedCount = 0
    let points = 0
    const all = tries.filter((t) => t.itemIds === null || t.itemIds.includes(item.id))
    const having = all.filter((t) => earned.get(t)?.on.has(item.id))
    for (const t of having) {
      const answer = t.answers.get(item.id)
      const given = earned.get(t)?.on.get(item.id) ?? 0
      points += given
      if (given >= item.points) rightCount++
      if (isOmitted(answer)) omittedCount++
      for (const id of chosenIn(answer)) if (id in options) options[id] = (options[id] ?? 0) + 1
    }
    const n = having.length
    return {
      discrimination: discriminationOf(item, [...earned.values()]),
      itemId: item.id,
      n,
      few: n < FEW,
      rightCount,
      rightRatio: n === 0 ? 0 : rightCount / n,
      meanRatio: n === 0 ? 0 : points / (n * item.points),
      omittedCount,
      waitingCount: all.length - having.length,
      options,
      commonest: isScoredByHand(item) || isChosenAmong(item) ? [] : commonestOf(item, having),
    }
  })
  const hardness = (f: ItemFigures) => (f.n === 0 ? Number.POSITIVE_INFINITY : f.meanRatio)
  return figures.sort((a, b) => (hardness(a) === hardness(b) ? 0 : hardness(a) - hardness(b)))
}

/** What a try has earned on all items of it that are scored, and what these are worth. */
interface Earned {
  readonly on: ReadonlyMap<ItemId, number>
  readonly points: number
  readonly of: number
}

function earnedIn(items: readonly Item[], t: AnsweredTry): Earned {
  const had = items.filter((i) => (t.itemIds?.includes(i.id) ?? true) && !handScore(t, i)?.waits)
  const on = new Map(had.map((i) => [i.id, earnedOn(t, i)]))
  const sum = (values: Iterable<number>) => [...values].reduce((a, b) => a + b, 0)
  return { on, points: sum(on.values()), of: sum(had.map((i) => i.points)) }
}

/**
 * How an item goes with the rest of what each try had: the correlation of its share of points with the share of all
 * other items that are scored; tries without another are left out.
 */
function discriminationOf(item: Item, tries: readonly Earned[]): number | null {
  const pairs = tries.flatMap(({ on, points, of }) => {
    const earned = on.get(item.id)
    if (earned === undefined || of === item.points) return []
    return [[earned / item.points, (points - earned) / (of - item.points)] as const]
  })
  return pairs.length < FEW ? null : correlationOf(pairs)
}

function earnedOn(t: AnsweredTry, item: Item): number {
  return handScore(t, item)?.points ?? scoreItem(item, t.answers.get(item.id))
}

/** What a person gave for an item of a try; undefined for items that score themselves. */
function handScore({ score }: AnsweredTry, item: Item): ItemScore | undefined {
  return isScoredByHand(item) ? score?.items.find((s) => s.itemId === item.id) : undefined
}

/** So many of the commonest answers are told. */
const MOST_COMMON = 5

/** What was given most often for an item, right or wrong; ties in the order of their words. */
function commonestOf(item: Item, tries: readonly AnsweredTry[]): readonly CommonAnswer[] {
  const given = tries.flatMap((t) => {
    const answer = t.answers.get(item.id)
    return answer === undefined || isOmitted(answer) ? [] : [answer]
  })
  const alike = groupBy(given, (answer) => folded(givenInWords(item, answer)))
  return [...alike.values()]
    .flatMap((list): readonly CommonAnswer[] => {
      const [first] = list
      if (!first) return []
      const text = givenInWords(item, first).trim()
      return [{ text, count: list.length, isRight: scoreItem(item, first) >= item.points }]
    })
    .sort((a, b) => b.count - a.count || (a.text < b.text ? -1 : 1))
    .slice(0, MOST_COMMON)
}

function folded(text: string): string {
  return text.trim().toLowerCase().replace(/\s+/g, ' ')
}
