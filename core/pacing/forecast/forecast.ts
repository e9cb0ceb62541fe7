import { seededRandom } from '../../base'
import type { Instant, IsoDay, LessonId, Random } from '../../base'
import type { ClassCalendar } from '../../calendar'
import type { Course } from '../layout'
import { typicalAmount } from '../plan'
import type { ClassPacing, PlanLesson } from '../plan'
import { halvesBetween, inHalves, meetingOf, positionAt } from '../track'

/** Meetings' worth of trust in the plan's own lengths, before a class has shown its own. */
export const PRIOR_MEETINGS = 10
const PRIOR_LESSONS = 6
const PRIOR_SPREAD = 0.25
const PRIOR_LOSSES = 0.5
const PRIOR_HELD = 25

/** How a class has gone so far. Ratios; `spreadRatio` is the standard deviation of a lesson's log ratio. */
export interface Pace {
  readonly lessons: number
  readonly usedRatio: number
  readonly spreadRatio: number
  readonly lossRatio: number
  readonly lost: number
  readonly held: number
}

/**
 * A class's own pace: meetings used for each meeting planned, shrunk toward 1 by ten meetings' worth of plan;
 * the spread between lessons, shrunk
 * toward a quarter; and the share of meetings lost at short notice (cancelled, not closed in the calendar),
 * shrunk toward half a meeting in 25.
 */
export function paceOf(
  sequence: readonly PlanLesson[],
  pacing: ClassPacing,
  calendar: ClassCalendar,
  now: Instant,
): Pace {
  let [used, planned, squares, lessons] = [0, 0, 0, 0]
  for (const lesson of sequence) {
    const record = pacing.records[lesson.id]
    if (record?.outcome !== 'covered' || lesson.length.unit !== 'meetings' || lesson.kind === 'buffer')
      continue
    const took = record.held.reduce((n, h) => n + h.halves, 0)
    used += took
    planned += typicalAmount(lesson)
    squares += Math.log(took / typicalAmount(lesson)) ** 2
    lessons++
  }
  const prior = PRIOR_MEETINGS * 2
  const held = calendar.meetings.filter((m) => m.startsAt <= now).length
  const lost = calendar.lost.filter((l) => l.cause === 'cancelled').length
  return {
    lessons,
    usedRatio: (used + prior) / (planned + prior),
    spreadRatio: Math.sqrt((squares + PRIOR_LESSONS * PRIOR_SPREAD ** 2) / (lessons + PRIOR_LESSONS)),
    lossRatio: (lost + PRIOR_LOSSES) / (held + lost + PRIOR_HELD),
    lost,
    held,
  }
}

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

interface Step {
  readonly lessonId: LessonId
  readonly halves: number
  readonly varies: boolean
  readonly isBuffer: boolean
  readonly fixedAt: number
  readonly plannedAt: number
}

/** A simulation that is carried on in batches, so that a worker can report progress and be stopped. */
export interface Forecaster {
  readonly run: (count: number) => void
  readonly result: () => Forecast
}

/**
 * Simulates the rest of a class's year: each lesson takes its planned length × the class's pace × a
 * log-normal factor of the class's spread, in whole
 * halves; checks and tests take what is planned; buffers give way to a delay; each meeting to come is lost
 * with the class's loss ratio. A fixed
 * lesson waits for its date, or comes late and counts as missed. Same seed, same forecast.
 * @param ends lessons whose end dates are wanted, such as the last of each unit.
 */
export function forecaster(
  course: Course,
  pace: Pace,
  now: Instant,
  starts: readonly Instant[],
  ends: readonly LessonId[],
  seed: number,
): Forecaster {
  const { track } = course
  const random = seededRandom(seed)
  const steps = stepsOf(course)
  const open = meetingOf(course.from)
  const usedFirst = halvesBetween(track, positionAt(track, open), course.from)
  const wanted = new Map(ends.map((id) => [id, [] as number[]]))
  const ready = new Map(
    steps.filter((s) => s.fixedAt >= 0).map((s) => [s.lessonId, { meetings: [] as number[], held: 0 }]),
  )
  const finish: number[] = []
  let runs = 0
  const cum = new Float64Array(track.capacities.length + 1)
  const once = () => {
    drawMeetings(track.capacities, open, usedFirst, starts, now, pace.lossRatio, random, cum)
    let at = 0
    for (const step of steps) {
      const late = step.fixedAt >= 0 ? at - (cum[step.fixedAt] as number) : 0
      const mark = ready.get(step.lessonId)
      if (mark) {
        mark.meetings.push(meetingAt(cum, at, open))
        if (late <= 0) mark.held++
      }
      if (late < 0) at -= late
      at += drawHalves(step, at, pace, random)
      wanted.get(step.lessonId)?.push(meetingAt(cum, at, open))
    }
    finish.push(meetingAt(cum, at, open))
    runs++
  }
  const band = (list: readonly number[]) => bandOf(list, track.meetings)
  return {
    run: (count) => {
      for (let i = 0; i < count; i++) once()
    },
    result: () => ({
      runs,
      pace,
      fixed: steps
        .filter((s) => s.fixedAt >= 0 && s.fixedAt < track.meetings.length)
        .map((s) => ({
          lessonId: s.lessonId,
          on: track.meetings[s.fixedAt]?.on as IsoDay,
          chanceRatio: (ready.get(s.lessonId)?.held ?? 0) / Math.max(1, runs),
          ready: band(ready.get(s.lessonId)?.meetings ?? []),
        })),
      year: {
        chanceRatio: finish.filter((m) => m < track.meetings.length).length / Math.max(1, runs),
        finish: band(finish),
      },
      ends: [...wanted]
        .filter(([, list]) => list.length > 0)
        .map(([lessonId, list]) => ({ lessonId, on: band(list) })),
    }),
  }
}

/** The dates of the meetings at 10, 50 and 90 % of a sample of meeting indexes. */
function bandOf(sample: readonly number[], meetings: Course['track']['meetings']): Band {
  const sorted = [...sample].sort((a, b) => a - b)
  const at = (ratio: number) =>
    meetings[sorted[Math.min(sorted.length - 1, Math.floor(ratio * sorted.length))] ?? 0]?.on ?? null
  return [at(0.1), at(0.5), at(0.9)]
}

function stepsOf({ track, items, from }: Course): Step[] {
  let planned = 0
  return items.map((item) => {
    const { lesson, startsAt, endsBy, endsBecause } = item
    const halves = inHalves(track, item, from)
    const plannedAt = planned
    planned += halves
    const fixedAt =
      startsAt >= 0
        ? meetingOf(startsAt)
        : endsBecause === 'fixed'
          ? Math.max(0, meetingOf(endsBy) - Math.ceil(halves / 2))
          : -1
    return {
      lessonId: lesson.id,
      halves,
      varies: lesson.kind !== 'check' && lesson.kind !== 'test',
      isBuffer: lesson.kind === 'buffer',
      fixedAt,
      plannedAt,
    }
  })
}

/** Fills `cum` with the halves available before each meeting, counted from where the record ends. */
function drawMeetings(
  capacities: readonly number[],
  open: number,
  usedFirst: number,
  starts: readonly Instant[],
  now: Instant,
  lossRatio: number,
  random: Random,
  cum: Float64Array,
): void {
  for (let m = 0; m < capacities.length; m++) {
    const here = m < open ? 0 : (capacities[m] as number) - (m === open ? usedFirst : 0)
    const isLost = m >= open && (starts[m] ?? 0) > now && random() < lossRatio
    cum[m + 1] = (cum[m] as number) + (isLost ? 0 : here)
  }
}

function drawHalves(step: Step, at: number, pace: Pace, random: Random): number {
  if (step.isBuffer) return Math.max(0, step.halves - Math.max(0, at - step.plannedAt))
  if (!step.varies) return step.halves
  // sum of three: near enough to a normal deviate, and quick
  const normal = (random() + random() + random() - 1.5) * 2
  return Math.max(
    1,
    Math.round(
      step.halves * pace.usedRatio * Math.exp(pace.spreadRatio * normal - pace.spreadRatio ** 2 / 2),
    ),
  )
}

/** The meeting in which `at` halves are reached; the count of meetings when they are not. */
function meetingAt(cum: Float64Array, at: number, open: number): number {
  let [low, high] = [open, cum.length - 1]
  while (low < high) {
    const middle = (low + high) >> 1
    if ((cum[middle + 1] as number) < at) low = middle + 1
    else high = middle
  }
  return low
}
