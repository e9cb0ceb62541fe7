import { seededRandom } from '../../base'
import type { Instant, LessonId, Random } from '../../base'
import type { Course, Item } from '../layout'
import { halvesBetween, meetingOf } from '../track'
import type { Position, Track } from '../track'
import type { Pace } from './pace'
import { lastMeeting, limitsIn, play } from './play'
import type { Drawn, Listener, RunTrack } from './play'
import { summed } from './summary'
import type { Forecast, Played, Sample, Step } from './summary'

/** A simulation that is carried on in batches, so that a worker can report progress and be stopped. */
export interface Forecaster {
  readonly run: (count: number) => void
  readonly result: () => Forecast
}

/** What is simulated. */
export interface ForecastOf {
  readonly course: Course
  readonly pace: Pace
  readonly now: Instant
  /** When each meeting of the course's ground begins. */
  readonly starts: readonly Instant[]
  /** Lessons whose end dates are wanted, such as the last of each unit. */
  readonly ends: readonly LessonId[]
  readonly seed: number
}

/**
 * Simulates the rest of a class's year by laying it out again and again: each lesson takes its planned
 * length × the class's pace × a log-normal factor of the class's spread, in whole halves or minutes; checks
 * and tests take what is planned; buffers give way to a delay; each meeting to come is lost with the class's
 * loss ratio. At even pace (ratio 1, no spread, no losses) every run is the layout itself. Same seed, same
 * forecast.
 */
export function forecaster({ course, pace, now, starts, ends, seed }: ForecastOf): Forecaster {
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
  const hasBuffers = items.some((i) => i.lesson.kind === 'buffer')
  const leftOf = (i: number, reached: Position) =>
    leftOfBuffer(course.track, items[i] as Item, steps[i] as Step, reached)
  const drawn: Drawn = { track, amounts, limits, leftOf: hasBuffers ? leftOf : null }
  const draw = amountDrawer(course, pace, random, amounts)
  const drawMeetings = meetingDrawer(track.sizes, course, { pace, now, starts }, random)
  const once = () => {
    drawMeetings()
    draw()
    if (hasLastDays) limitsIn(course, track, amounts, limits)
    finish.push(lastMeeting(track, play(course, drawn, gathered.listener), open))
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
  const { items, track } = course
  const amounts = Float64Array.from(items, (i) => i.amount)
  const limits = Float64Array.from(course.limits, (l) => l.at)
  const asPlanned: Drawn = { track, amounts, limits, leftOf: null }
  play(course, asPlanned, { item: (_, reached) => reachedAt.push(reached) })
  return items.map((item, i) => ({
    plannedAt: Math.max(reachedAt[i] ?? track.end, item.earliest),
    binds: bindingOf(item),
  }))
}

function bindingOf(item: Item): Step['binds'] {
  if (item.hasLastDay) return 'end'
  return item.startsAt >= 0 ? 'start' : null
}

/** Takes the room of the meetings that are lost in a run. */
function meetingDrawer(
  sizes: number[],
  { track: { sizes: whole }, from }: Course,
  { pace: { lossRatio }, now, starts }: Pick<ForecastOf, 'pace' | 'now' | 'starts'>,
  random: Random,
): () => void {
  if (lossRatio === 0) return () => undefined
  const open = meetingOf(from)
  return () => {
    for (let m = open; m < sizes.length; m++) {
      const isLost = (starts[m] ?? 0) > now && random() < lossRatio
      sizes[m] = isLost ? 0 : (whole[m] as number)
    }
  }
}

/** Draws what each lesson takes in a run, in its own unit; checks, tests and buffers take what is planned. */
function amountDrawer(
  { items }: Course,
  { usedRatio, spreadRatio }: Pace,
  random: Random,
  into: Float64Array,
): () => void {
  const varies = items.map(({ lesson: { kind } }) => kind !== 'check' && kind !== 'test' && kind !== 'buffer')
  const middle = Float64Array.from(items, (i) => i.amount * usedRatio)
  // a log-normal factor of mean one
  const shift = -(spreadRatio ** 2) / 2
  items.forEach((item, i) => {
    into[i] = varies[i] ? Math.max(1, Math.round(middle[i] as number)) : item.amount
  })
  if (spreadRatio === 0) return () => undefined
  return () => {
    for (let i = 0; i < items.length; i++) {
      if (!varies[i]) continue
      // sum of three: near enough to a normal deviate, and quick
      const normal = (random() + random() + random() - 1.5) * 2
      const drawn = Math.round((middle[i] as number) * Math.exp(spreadRatio * normal + shift))
      into[i] = drawn < 1 ? 1 : drawn
    }
  }
}

/** What a delay leaves of a buffer, in its own unit. */
function leftOfBuffer(track: Track, item: Item, step: Step, reached: Position): number {
  const from = Math.max(reached, item.earliest)
  const delayHalves = halvesBetween(track, step.plannedAt, from)
  const half = item.unit === 'minutes' ? (track.meetings[meetingOf(from)]?.usualMinutes ?? 0) / 2 : 1
  return Math.max(0, Math.floor(item.amount - delayHalves * half))
}
