import type { IsoDay, UserId } from '../base'
import { cautionsIn } from './cautions'
import type { LoadLimits } from './cautions'
import { loadOf } from './loadOf'
import type { LoadPiece } from './types'

/** A week in which some would carry more than the limits, and who they are. */
export interface HeavyWeek {
  readonly mondayOn: IsoDay
  readonly learnerIds: readonly UserId[]
}

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
  const over = cautionsIn(withIt, limits).filter(
    (c) => c.kind === 'minutes-in-week' || c.kind === 'pieces-in-week',
  )
  const loads = new Map(learnerIds.map((id, i) => [id, [without.learners[i], withIt.learners[i]] as const]))
  return withIt.weeks.flatMap((mondayOn, week) => {
    const heavier = over.filter((c) => {
      const [before, after] = loads.get(c.learnerId) ?? []
      const isMore =
        c.kind === 'minutes-in-week'
          ? (after?.weeks[week] ?? 0) > (before?.weeks[week] ?? 0)
          : (after?.pieces[week] ?? 0) > (before?.pieces[week] ?? 0)
      return c.on === mondayOn && isMore
    })
    const ids = [...new Set(heavier.map((c) => c.learnerId))]
    return ids.length === 0 ? [] : [{ mondayOn, learnerIds: ids }]
  })
}
