import type { IsoDay, LessonId } from '../../base'
import type { Course } from '../layout'
import type { Pace } from './pace'

/** The 10, 50 and 90 % dates; null: past the year. */
export type Band = readonly [IsoDay | null, IsoDay | null, IsoDay | null]

export interface Forecast {
  readonly runs: number
  readonly pace: Pace
  /**
   * For each fixed lesson still to come: how often everything before it is done in time, and when it would
   * be.
   */
  readonly fixed: readonly {
    readonly lessonId: LessonId
    readonly on: IsoDay
    readonly chanceRatio: number
    readonly ready: Band
  }[]
  readonly year: { readonly chanceRatio: number; readonly finish: Band }
  /** When each lesson asked for would end. */
  readonly ends: readonly { readonly lessonId: LessonId; readonly on: Band }[]
}

/** A lesson still to come, as the simulation goes through it. */
export interface Step {
  readonly lessonId: LessonId
  readonly halves: number
  readonly varies: boolean
  readonly isBuffer: boolean
  readonly fixedAt: number
  readonly plannedAt: number
}

/** What the runs gave. */
export interface Played {
  readonly track: Course['track']
  readonly steps: readonly Step[]
  readonly ready: ReadonlyMap<LessonId, { readonly meetings: readonly number[]; readonly held: number }>
  readonly finish: readonly number[]
  readonly wanted: ReadonlyMap<LessonId, readonly number[]>
  readonly runs: number
}

/** What the runs come to: shares that held, and dates at 10, 50 and 90 %. */
export function summed({
  track,
  steps,
  ready,
  finish,
  wanted,
  runs,
}: Played): Omit<Forecast, 'runs' | 'pace'> {
  const { meetings } = track
  return {
    fixed: steps
      .filter((s) => s.fixedAt >= 0 && s.fixedAt < meetings.length)
      .map((s) => ({
        lessonId: s.lessonId,
        on: meetings[s.fixedAt]?.on as IsoDay,
        chanceRatio: (ready.get(s.lessonId)?.held ?? 0) / Math.max(1, runs),
        ready: bandOf(ready.get(s.lessonId)?.meetings ?? [], meetings),
      })),
    year: {
      chanceRatio: finish.filter((m) => m < meetings.length).length / Math.max(1, runs),
      finish: bandOf(finish, meetings),
    },
    ends: [...wanted]
      .filter(([, list]) => list.length > 0)
      .map(([lessonId, list]) => ({ lessonId, on: bandOf(list, meetings) })),
  }
}

/** The dates of the meetings at 10, 50 and 90 % of a sample of meeting indexes. */
function bandOf(sample: readonly number[], meetings: Course['track']['meetings']): Band {
  const sorted = [...sample].sort((a, b) => a - b)
  const at = (ratio: number) =>
    meetings[sorted[Math.min(sorted.length - 1, Math.floor(ratio * sorted.length))] ?? 0]?.on ?? null
  return [at(0.1), at(0.5), at(0.9)]
}
