import { groupBy } from '../base'
import type { IsoDay, TrailId } from '../base'
import type { TrailPoint } from './suggest'
import { supportOf } from './trails'
import type { Trail } from './types'

/** With fewer changes than this nothing is claimed. */
export const FEW_CHANGES = 8
/** So many scores on each side of a change are looked at, at most. */
const BESIDE = 2

/** Scores before and after changes of support in one direction, in percent. */
export interface SupportEffect {
  readonly direction: 'less' | 'more'
  /** Changes with a score on both sides. */
  readonly changes: number
  /** Means over them; null when there is none. */
  readonly before: number | null
  readonly after: number | null
  readonly isFew: boolean
}

/**
 * What went with changes of support: for each learner's change the mean of the last two scores before it against that
 * of the first two after it, averaged over changes. It shows what went together, not what caused it: who is given more
 * support after a low score would often do better the next time anyway.
 * @param paths each learner's points in the order of time.
 */
export function effectOfSupport(
  paths: readonly (readonly TrailPoint[])[],
  trails: readonly Trail[],
): readonly SupportEffect[] {
  const changes = paths.flatMap((points) => changesIn(points, trails))
  return (['less', 'more'] as const).map((direction) => {
    const own = changes.filter((c) => c.direction === direction)
    return {
      direction,
      changes: own.length,
      before: meanOf(own.map((c) => c.before)),
      after: meanOf(own.map((c) => c.after)),
      isFew: own.length < FEW_CHANGES,
    }
  })
}

interface Change {
  readonly direction: 'less' | 'more'
  readonly before: number
  readonly after: number
}

function changesIn(points: readonly TrailPoint[], trails: readonly Trail[]): readonly Change[] {
  return runsOf(points).flatMap((run, i, runs): readonly Change[] => {
    const next = runs[i + 1]
    const before = meanOf(scoresOf(run).slice(-BESIDE))
    const after = next ? meanOf(scoresOf(next).slice(0, BESIDE)) : null
    if (before === null || after === null) return []
    const isLess = supportOf(trails, trailOf(next)) < supportOf(trails, trailOf(run))
    return [{ direction: isLess ? 'less' : 'more', before, after }]
  })
}

type Run = readonly TrailPoint[]
const trailOf = (run: Run | undefined): TrailId | null => run?.[0]?.trailId ?? null
const scoresOf = (run: Run) => run.flatMap((p) => (p.percent === null ? [] : [p.percent]))

/** Points cut where the trail changes. */
function runsOf(points: readonly TrailPoint[]): readonly Run[] {
  const runs: TrailPoint[][] = []
  for (const point of points) {
    const last = runs.at(-1)
    if (last?.[0]?.trailId === point.trailId) last.push(point)
    else runs.push([point])
  }
  return runs
}

function meanOf(values: readonly number[]): number | null {
  return values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length
}

/** How many pieces of one week were had on each trail, in the order of the trails. */
export interface SupportWeek {
  readonly monday: IsoDay
  readonly counts: readonly number[]
}

/** How support changes over a term: pieces had by week and trail; weeks without any are absent. */
export function supportByWeek(
  points: readonly TrailPoint[],
  trails: readonly Trail[],
  mondayOf: (at: TrailPoint['at']) => IsoDay,
): readonly SupportWeek[] {
  const weeks = [...groupBy(points, (p) => mondayOf(p.at))]
  return weeks
    .map(([monday, of]) => ({
      monday,
      counts: trails.map((t) => of.filter((p) => p.trailId === t.id).length),
    }))
    .sort((a, b) => a.monday.localeCompare(b.monday))
}
