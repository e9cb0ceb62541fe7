import type { IsoDay, LessonId } from '../../base'
import type { Item } from '../layout'
import { meetingOf } from '../track'
import type { Position, Track } from '../track'
import type { Pace } from './pace'

/** The 10, 50 and 90 % dates; null: past the year. */
export type Band = readonly [IsoDay | null, IsoDay | null, IsoDay | null]

export interface Forecast {
  readonly runs: number
  readonly pace: Pace
  /**
   * For each lesson with a date still to come: how often it holds, and when it would be ready. `binds` start:
   * it starts on the date, and everything before it is to be done by then; end: it is itself to end by it.
   */
  readonly fixed: readonly {
    readonly lessonId: LessonId
    readonly binds: 'start' | 'end'
    readonly on: IsoDay
    readonly chanceRatio: number
    readonly ready: Band
  }[]
  readonly year: { readonly chanceRatio: number; readonly finish: Band }
  /** When each lesson asked for would end; null: in a run without a place for it. */
  readonly ends: readonly { readonly lessonId: LessonId; readonly on: Band }[]
}

/** What an item of the course is in a simulation. */
export interface Step {
  /** Where it starts when all goes as planned. */
  readonly plannedAt: Position
  readonly binds: 'start' | 'end' | null
}

/** What the runs gave for a lesson with a date. */
export interface Sample {
  readonly meetings: number[]
  held: number
}

/** What the runs gave. */
export interface Played {
  readonly track: Track
  readonly items: readonly Item[]
  readonly steps: readonly Step[]
  readonly samples: readonly (Sample | null)[]
  readonly finish: readonly number[]
  readonly wanted: ReadonlyMap<LessonId, readonly number[]>
}

/** What the runs come to: shares that held, and dates at 10, 50 and 90 %. */
export function summed({
  track,
  items,
  steps,
  samples,
  finish,
  wanted,
}: Played): Omit<Forecast, 'runs' | 'pace'> {
  const { meetings } = track
  const runs = Math.max(1, finish.length)
  return {
    fixed: items.flatMap((item, i) => {
      const [binds, sample] = [steps[i]?.binds, samples[i]]
      const on = binds && meetings[dateOf(item, binds)]?.on
      if (!binds || !sample || !on) return []
      return [
        {
          lessonId: item.lesson.id,
          binds,
          on,
          chanceRatio: sample.held / runs,
          ready: bandOf(sample.meetings, meetings),
        },
      ]
    }),
    year: {
      chanceRatio: finish.filter((m) => m < meetings.length).length / runs,
      finish: bandOf(finish, meetings),
    },
    ends: [...wanted]
      .filter(([, list]) => list.length > 0)
      .map(([lessonId, list]) => ({ lessonId, on: bandOf(list, meetings) })),
  }
}

/** The meeting with which a lesson's date comes: its first one, or the last one by which it ends. */
function dateOf(item: Item, binds: 'start' | 'end'): number {
  return binds === 'start' ? meetingOf(item.startsAt) : meetingOf(item.endsBy - 1)
}

/** The dates of the meetings at 10, 50 and 90 % of a sample of meeting indexes. */
function bandOf(sample: readonly number[], meetings: Track['meetings']): Band {
  const sorted = [...sample].sort((a, b) => a - b)
  const at = (ratio: number) =>
    meetings[sorted[Math.min(sorted.length - 1, Math.floor(ratio * sorted.length))] ?? 0]?.on ?? null
  return [at(0.1), at(0.5), at(0.9)]
}
