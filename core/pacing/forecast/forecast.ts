import { seededRandom } from '../../base'
import type { Instant, LessonId, Random } from '../../base'
import type { Course, Item } from '../layout'
import { halvesBetween, meetingOf } from '../track'
import type { Position, Track } from '../track'
import type { Pace } from './pace'
import { lastMeeting, limitsIn, play } from './play'
import type { Listener, RunTrack } from './play'
import { summed } from './summary'
import type { Forecast, Played, Sample, Step } from './summary'

/** A simulation that is carried on in batches, so that a worker can report progress and be stopped. */
export interface Forecaster {
  readonly run: (count: number) => void
  readonly result: () => Forecast
}

/**
 * Simulates the rest of a class's year by laying it out again and again: each lesson takes its planned
 * length × the class's pace × a log-normal factor of the class's spread, in whole halves or minutes; checks
 * and tests take what is planned; buffers give way to a delay; each meeting to come is lost with the class's
 * loss ratio. At even pace (ratio 1, no spread, no losses) every run is the layout itself. Same seed, same
 * forecast.
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
  const { items } = course
  const track: RunTrack = { ...course.track, sizes: [...course.track.sizes] }
  const random = seededRandom(seed)
  const open = meetingOf(course.from)
  const steps = stepsOf(course)
  const gathered = gatherer(course, steps, track, ends)
  const finish: number[] = []
  const amounts = new Float64Array(items.length)
  const limits = Float64Array.from(course.limits, (l) => l.at)
  const hasLastDays = items.some((i) => i.hasLastDay)
  const amountOf = (i: number, reached: Position) =>
    steps[i]?.isBuffer
      ? leftOfBuffer(course.track, items[i] as Item, steps[i], reached)
      : (amounts[i] as number)
  const limitOf = (i: number) => limits[i] as number
  const once = () => {
    drawMeetings(track.sizes, course.track.sizes, open, starts, now, pace.lossRatio, random)
    for (let i = 0; i < items.length; i++)
      amounts[i] = drawAmount(items[i] as Item, steps[i] as Step, pace, random)
    if (hasLastDays) limitsIn(course, track, amounts, limits)
    const end = play(course, track, amountOf, limitOf, gathered.listener)
    finish.push(lastMeeting(track, end, open))
  }
  return {
    run: (count) => {
      for (let i = 0; i < count; i++) once()
    },
    result: () => ({
      runs: finish.length,
      pace,
      ...summed({ track: course.track, items, steps, finish, ...gathered }),
    }),
  }
}

/** Keeps of each run where the lessons asked for end, and whether those with a date hold it. */
function gatherer(
  { items, from }: Course,
  steps: readonly Step[],
  track: RunTrack,
  ends: readonly LessonId[],
): Pick<Played, 'samples' | 'wanted'> & { readonly listener: Listener } {
  const open = meetingOf(from)
  const samples = steps.map((s): Sample | null => (s.binds === null ? null : { meetings: [], held: 0 }))
  const wanted = new Map(ends.map((id) => [id, [] as number[]]))
  const lists = items.map((item) => wanted.get(item.lesson.id) ?? null)
  const listener: Listener = {
    item: (i, reached, ended, laid) => {
      lists[i]?.push(lastMeeting(track, laid, open))
      const sample = samples[i]
      if (!sample) return
      const item = items[i] as Item
      sample.meetings.push(lastMeeting(track, item.hasLastDay ? ended : reached, open))
      if (isInTime(item, reached, ended)) sample.held++
    },
  }
  return { samples, wanted, listener }
}

/** Whether a lesson with a date is in time: before it starts on its day, or ends by its last one. */
function isInTime(item: Item, reached: Position, ended: Position): boolean {
  if (reached < 0) return false
  return item.hasLastDay ? ended >= 0 && ended <= item.endsBy : reached <= item.startsBy
}

/** What each item is in a simulation; for buffers where they start when all goes as planned. */
function stepsOf(course: Course): Step[] {
  const reachedAt: Position[] = []
  const { items, track, limits } = course
  play(
    course,
    track,
    (i) => items[i]?.amount ?? 0,
    (i) => limits[i]?.at ?? track.end,
    { item: (_, reached) => reachedAt.push(reached) },
  )
  return items.map((item, i) => ({
    varies: item.lesson.kind !== 'check' && item.lesson.kind !== 'test',
    isBuffer: item.lesson.kind === 'buffer',
    plannedAt: Math.max(reachedAt[i] ?? track.end, item.earliest),
    binds: bindingOf(item),
  }))
}

function bindingOf(item: Item): Step['binds'] {
  if (item.hasLastDay) return 'end'
  return item.startsAt >= 0 ? 'start' : null
}

/** Takes the room of the meetings that are lost in a run. */
function drawMeetings(
  sizes: number[],
  whole: readonly number[],
  open: number,
  starts: readonly Instant[],
  now: Instant,
  lossRatio: number,
  random: Random,
): void {
  if (lossRatio === 0) return
  for (let m = open; m < sizes.length; m++) {
    const isLost = (starts[m] ?? 0) > now && random() < lossRatio
    sizes[m] = isLost ? 0 : (whole[m] as number)
  }
}

/** What a lesson takes in a run, in its own unit. */
function drawAmount({ amount }: Item, step: Step, pace: Pace, random: Random): number {
  if (step.isBuffer || !step.varies) return amount
  if (pace.spreadRatio === 0) return Math.max(1, Math.round(amount * pace.usedRatio))
  // sum of three: near enough to a normal deviate, and quick
  const normal = (random() + random() + random() - 1.5) * 2
  const factor = Math.exp(pace.spreadRatio * normal - pace.spreadRatio ** 2 / 2)
  return Math.max(1, Math.round(amount * pace.usedRatio * factor))
}

/** What a delay leaves of a buffer, in its own unit. */
function leftOfBuffer(track: Track, item: Item, step: Step | undefined, reached: Position): number {
  const from = Math.max(reached, item.earliest)
  const delayHalves = step ? halvesBetween(track, step.plannedAt, from) : 0
  const half = item.unit === 'minutes' ? (track.meetings[meetingOf(from)]?.usualMinutes ?? 0) / 2 : 1
  return Math.max(0, Math.floor(item.amount - delayHalves * half))
}
