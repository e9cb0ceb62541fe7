import type { AssignmentId, Instant, PieceId, TrailId } from '../base'
import { supportOf } from './trails'
import type { Trail } from './types'

/** One piece that a learner had: with how much support, and the kept score in percent; null: none yet. */
export interface TrailPoint {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly at: Instant
  readonly trailId: TrailId
  readonly percent: number | null
  /** They had another task than the others. */
  readonly isParallel: boolean
}

/** From which scores a step is suggested, in percent; a school may change them. */
export interface StepThresholds {
  /** So many kept scores in a row at or above `lessFrom`: less support. */
  readonly lessFrom: number
  readonly lessTimes: number
  /** One below: more support. */
  readonly moreAtOnce: number
  /** So many in a row below: more support. */
  readonly moreBelow: number
  readonly moreTimes: number
  /** So many pieces in a row with the most support: somebody has to look. */
  readonly stuckTimes: number
}
export const DEFAULT_THRESHOLDS: StepThresholds = {
  lessFrom: 80,
  lessTimes: 2,
  moreAtOnce: 50,
  moreBelow: 65,
  moreTimes: 2,
  stuckTimes: 4,
}

export type StepReason =
  /** The last scores are all high. */
  | 'high-in-a-row'
  | 'one-very-low'
  | 'low-in-a-row'
  /** High scores, but there is no less support than theirs; or low ones and no more. */
  | 'least-already'
  | 'most-already'
  /** Scores on this trail, and neither. */
  | 'steady'
  /** No score since they are on this trail. */
  | 'no-scores'

/** What the scores say of a learner's next step, and which of them. Nothing applies it but a teacher. */
export interface StepSuggestion {
  readonly step: 'less' | 'more' | 'stay'
  /** The trail it leads to; their own when they stay. */
  readonly to: TrailId
  readonly reason: StepReason
  /** The scores it rests on, in percent, earliest first. */
  readonly percents: readonly number[]
  /** The last pieces, all with the most support, when they are so many that somebody has to look; else null. */
  readonly stuck: readonly TrailPoint[] | null
}

/**
 * Suggests a learner's next step from what they did on their trail since they came onto it; earlier scores were earned
 * with other support and say nothing of this one.
 * @param points in the order of time.
 */
export function suggestStep(
  points: readonly TrailPoint[],
  current: TrailId,
  trails: readonly Trail[],
  thresholds: StepThresholds,
): StepSuggestion {
  const here = runOf(points, current)
  const scores = here.flatMap((p) => (p.percent === null ? [] : [p.percent]))
  const { step, reason, percents } = stepFrom(scores, thresholds)
  const stuck = stuckOn(here, current, trails, thresholds)
  const stay = (why: StepReason): StepSuggestion => ({
    step: 'stay',
    to: current,
    reason: why,
    percents,
    stuck,
  })
  if (step === 'stay') return stay(reason)
  const at = supportOf(trails, current)
  const next = trails[step === 'less' ? at - 1 : at + 1]
  if (!next) return stay(step === 'less' ? 'least-already' : 'most-already')
  return { step, to: next.id, reason, percents, stuck }
}

/** The last points that are all on one trail. */
function runOf(points: readonly TrailPoint[], trailId: TrailId): readonly TrailPoint[] {
  return points.slice(points.findLastIndex((p) => p.trailId !== trailId) + 1)
}

function stepFrom(
  scores: readonly number[],
  t: StepThresholds,
): Pick<StepSuggestion, 'step' | 'reason' | 'percents'> {
  const last = scores.slice(-1)
  if (last.length === 0) return { step: 'stay', reason: 'no-scores', percents: [] }
  if (last.every((p) => p < t.moreAtOnce)) return { step: 'more', reason: 'one-very-low', percents: last }
  const low = scores.slice(-t.moreTimes)
  if (low.length === t.moreTimes && low.every((p) => p < t.moreBelow))
    return { step: 'more', reason: 'low-in-a-row', percents: low }
  const high = scores.slice(-t.lessTimes)
  if (high.length === t.lessTimes && high.every((p) => p >= t.lessFrom))
    return { step: 'less', reason: 'high-in-a-row', percents: high }
  return { step: 'stay', reason: 'steady', percents: high }
}

function stuckOn(
  here: readonly TrailPoint[],
  current: TrailId,
  trails: readonly Trail[],
  { stuckTimes }: StepThresholds,
): readonly TrailPoint[] | null {
  const isMost = trails.at(-1)?.id === current
  return isMost && here.length >= stuckTimes ? here.slice(-stuckTimes) : null
}

/** Whether thresholds make sense: percents in their order, counts of at least one. Names the first that does not. */
export function faultInThresholds(t: StepThresholds): keyof StepThresholds | null {
  const isPercent = (n: number) => Number.isFinite(n) && n >= 0 && n <= 100
  if (!isPercent(t.lessFrom)) return 'lessFrom'
  if (!isPercent(t.moreBelow) || t.moreBelow > t.lessFrom) return 'moreBelow'
  if (!isPercent(t.moreAtOnce) || t.moreAtOnce > t.moreBelow) return 'moreAtOnce'
  const counts = ['lessTimes', 'moreTimes', 'stuckTimes'] as const
  return counts.find((c) => !(Number.isInteger(t[c]) && t[c] >= 1 && t[c] <= 10)) ?? null
}
