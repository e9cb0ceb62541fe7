import { mondayOf } from '../base'
import type { IsoDay, UserId } from '../base'
import { betterDays, cautionsIn } from './cautions'
import type { LoadCaution, LoadLimits } from './cautions'
import { loadOf } from './loadOf'
import type { Load, LoadPiece } from './types'
import { isMore } from './weighing'

/** A week in which some would carry more than the limits, and who they are. */
export interface HeavyWeek {
  readonly mondayOn: IsoDay
  readonly learnerIds: readonly UserId[]
  /** A day in another week on which less is due; null: none is near. */
  readonly better: IsoDay | null
}

/** Days this far before and after are looked at for a lighter one. */
const NEAR = { within: 8, count: 1 }

/**
 * Weeks in which learners would be over the limits with some work that they are not over without it, or would be
 * further over: the weeks that this work makes too much.
 * @param has what they have besides; `more` what they would get
 */
export function weighed(
  has: readonly LoadPiece[],
  more: readonly LoadPiece[],
  schoolDays: readonly IsoDay[],
  limits: LoadLimits,
): readonly HeavyWeek[] {
  const learnerIds = [...new Set(more.flatMap((p) => p.learnerIds))]
  const without = loadOf(has, schoolDays, learnerIds, 'window')
  const withIt = loadOf([...has, ...more], schoolDays, learnerIds, 'window')
  const isHeavier = comparing(without, withIt)
  const over = cautionsIn(withIt, limits).filter(isHeavier)
  const byWeek = withIt.weeks.map((mondayOn) => {
    const cautions = over.filter((c) => c.on === mondayOn)
    return { mondayOn, learnerIds: [...new Set(cautions.map((c) => c.learnerId))] }
  })
  const heavy = byWeek.filter((week) => week.learnerIds.length > 0)
  if (heavy.length === 0) return []
  const lighter = lighterDay([...has, ...more], more, schoolDays, learnerIds)
  return heavy.map((week) => {
    const isElsewhere = lighter !== null && mondayOf(lighter) !== week.mondayOn
    return { ...week, better: isElsewhere ? lighter : null }
  })
}

/** Whether a caution about a week is about one that has become heavier. */
function comparing(without: Load, withIt: Load): (caution: LoadCaution) => boolean {
  const weekAt = new Map(withIt.weeks.map((mondayOn, i) => [mondayOn, i]))
  const before = new Map(without.learners.map((l) => [l.learnerId, l]))
  const after = new Map(withIt.learners.map((l) => [l.learnerId, l]))
  return ({ kind, learnerId, on }) => {
    if (kind !== 'minutes-in-week' && kind !== 'pieces-in-week') return false
    const week = weekAt.get(on) ?? 0
    const figure = kind === 'minutes-in-week' ? 'weeks' : 'pieces'
    return isMore(after.get(learnerId)?.[figure][week] ?? 0, before.get(learnerId)?.[figure][week] ?? 0)
  }
}

/** A day near the one on which the work is due, on which less is. */
function lighterDay(
  all: readonly LoadPiece[],
  [first]: readonly LoadPiece[],
  schoolDays: readonly IsoDay[],
  learnerIds: readonly UserId[],
): IsoDay | null {
  if (!first) return null
  const [lighter] = betterDays(loadOf(all, schoolDays, learnerIds, 'due'), first.throughOn, NEAR)
  return lighter?.on ?? null
}
