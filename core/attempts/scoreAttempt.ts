import { addDays, dayNumber } from '../base'
import type { Instant, ItemId } from '../base'
import { isOmitted, isScoredByHand, scoreItem } from '../library'
import type { Answer, Item } from '../library'
import { expectedOverBank } from './items/adaptive'
import { estimateFrom, gaugeable } from './items/choose'
import type { AttemptScore, ItemScore, Kept, LateDays, LateRule, TryInShort } from './types'

/**
 * Scores a whole try from its items and saved answers, with the late deduction when it was handed in after `dueAt`.
 * @param bank of an adaptive try all items of its piece: the score is what its learner would be expected to earn over
 * them, since each learner had other items, as hard as suited them.
 */
export function scoreAttempt(
  items: readonly Item[],
  answers: ReadonlyMap<ItemId, Answer>,
  late: {
    readonly rule: LateRule | null
    readonly dueAt: Instant | null
    readonly submittedAt: Instant
    readonly days: LateDays
  },
  bank: readonly Item[] | null = null,
): AttemptScore {
  const scores = items.map((item): ItemScore => {
    const answer = answers.get(item.id)
    const score = { itemId: item.id, points: scoreItem(item, answer), of: item.points }
    return isScoredByHand(item) && !isOmitted(answer) ? { ...score, waits: true } : score
  })
  const lateDays =
    late.dueAt === null
      ? 0
      : daysLate(late.dueAt, late.submittedAt, late.rule?.per ?? 'calendar-day', late.days)
  const estimate = bank === null ? null : estimateFrom(items, answers)
  const expected =
    bank === null || estimate === null ? null : expectedOverBank(gaugeable(bank), estimate.ability)
  const score = summedUp(scores, { rule: late.rule, lateDays, expected })
  return estimate === null ? score : { ...score, estimate }
}

/**
 * A score in which texts that were left empty wait as well: files were handed in, and a person looks at those. What a
 * person has scored stays as it is.
 */
export function waitingForFiles(
  score: AttemptScore,
  items: readonly Item[],
  rule: LateRule | null,
): AttemptScore {
  const byHand = new Set(items.filter(isScoredByHand).map((item) => item.id))
  const isEmpty = (s: ItemScore) =>
    byHand.has(s.itemId) && !s.waits && s.levels === undefined && s.points === 0
  if (!score.items.some(isEmpty)) return score
  const scores = score.items.map((s) => (isEmpty(s) ? { ...s, waits: true as const } : s))
  return { ...score, ...summedUp(scores, { rule, lateDays: score.lateDays, expected: null }) }
}

/** The score of a try out of what its items have earned; `expected` takes the place of their share. */
export function summedUp(
  items: readonly ItemScore[],
  by: { readonly rule: LateRule | null; readonly lateDays: number; readonly expected: number | null },
): AttemptScore {
  const points = items.reduce((sum, s) => sum + s.points, 0)
  const of = items.reduce((sum, s) => sum + s.of, 0)
  const waiting = items.reduce((sum, s) => sum + (s.waits ? s.of : 0), 0)
  const share = of === waiting ? 0 : points / (of - waiting)
  const earned = by.expected ?? share
  const ratio = by.rule === null ? earned : earned * keptShare(by.rule, by.lateDays)
  const score = { points, of, ratio, lateDays: by.lateDays, deductedRatio: earned - ratio, items }
  return waiting === 0 ? score : { ...score, waiting }
}

/** Share of the earned score that is kept after `lateDays`: 1 − percent × days, not below the floor. */
export function keptShare(rule: LateRule, lateDays: number): number {
  return Math.max(rule.floorPercent, 100 - rule.percentPerDay * lateDays) / 100
}

/**
 * Days from the day work was due to the day it came in, by the school's local dates, at least 1 once late.
 * By calendar: every date. By instructional day: school days only.
 * @example Due at the end of 31 Oct, handed in on 1 Nov at 23:30: one day, though the clock went back between.
 */
export function daysLate(dueAt: Instant, submittedAt: Instant, per: LateRule['per'], days: LateDays): number {
  if (submittedAt < dueAt) return 0
  // a due moment at 00:00 belongs to the day that just ended
  const dueOn = days.zoneDayOf((dueAt - 1) as Instant)
  const cameOn = days.zoneDayOf(submittedAt)
  if (per === 'calendar-day') return Math.max(1, dayNumber(cameOn) - dayNumber(dueOn))
  let count = 0
  for (let on = addDays(dueOn, 1); on <= cameOn; on = addDays(on, 1)) if (days.instructional.has(on)) count++
  return Math.max(1, count)
}

/** What a score says as a share; null while a person has yet to score all of it. */
export function countedRatio(score: Pick<AttemptScore, 'ratio'> & Partial<AttemptScore>): number | null {
  return score.waiting !== undefined && score.waiting === score.of ? null : score.ratio
}

/** The ratio that counts among submitted tries by the kept rule; null while there is none. */
export function keptScore(
  attempts: readonly Pick<TryInShort, 'number' | 'score'>[],
  kept: Kept,
): number | null {
  const ratios = [...attempts]
    .sort((a, b) => a.number - b.number)
    .flatMap((a) => (a.score ? (countedRatio(a.score) ?? []) : []))
  if (ratios.length === 0) return null
  if (kept === 'best') return Math.max(...ratios)
  if (kept === 'first') return ratios[0] as number
  if (kept === 'latest') return ratios[ratios.length - 1] as number
  return ratios.reduce((a, b) => a + b, 0) / ratios.length
}

/** Points rounded for showing, at most two decimals. */
export function shownPoints(points: number): number {
  return Math.round(points * 100) / 100
}
