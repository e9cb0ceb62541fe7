import { seededRandom } from '../../base'
import type { Instant, LessonId, Random } from '../../base'
import type { Course } from '../layout'
import { halvesBetween, inHalves, meetingOf, positionAt } from '../track'
import type { Pace } from './pace'
import { summed } from './summary'
import type { Forecast, Step } from './summary'

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
  return {
    run: (count) => {
      for (let i = 0; i < count; i++) once()
    },
    result: () => ({ runs, pace, ...summed({ track, steps, ready, finish, wanted, runs }) }),
  }
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
