import { same } from '../../base'
import type { ClassId, IsoDay, LessonId } from '../../base'
import type { ClassCalendar, Meeting } from '../../calendar'
import type { ClassCommand } from '../command'
import { PRICES, priceOfCut } from '../fit'
import { datesOf, extentsOf } from '../layout'
import type { Course, Layout } from '../layout'
import { amountOf, fixedOf } from '../plan'
import type { ClassPacing, FixedDate, Left, PlanLesson } from '../plan'
import { inHalves } from '../track'

/**
 * A day on which a lesson is better not started: a short meeting for a check, test or project; the first
 * meeting after a break; a break in its middle.
 */
export type BadDay = 'short' | 'after-break' | 'across-break'

/** Everything a way out does to one class's layout. Lengths in the lesson's own unit. */
export interface Consequence {
  readonly moved: readonly { readonly lessonId: LessonId; readonly fromOn: IsoDay; readonly toOn: IsoDay }[]
  readonly fixedMoved: readonly {
    readonly lessonId: LessonId
    readonly fromOn: IsoDay
    readonly toOn: IsoDay | null
  }[]
  readonly cuts: readonly {
    readonly lessonId: LessonId
    readonly unit: PlanLesson['length']['unit']
    readonly from: number
    readonly to: number
    readonly left: Left | null
  }[]
  /** Lessons that were placed before and no longer fit. */
  readonly notFitting: readonly LessonId[]
  readonly badDays: readonly { readonly lessonId: LessonId; readonly on: IsoDay; readonly why: BadDay }[]
  readonly slackHalves: number
  readonly price: number
}

/** One side of a comparison. */
export interface Compared {
  readonly layout: Layout
  readonly pacing: ClassPacing
  readonly calendar: ClassCalendar
  readonly course: Course
}

/**
 * Compares layouts of a class with how it was before: what differs between `before` and `after`.
 * `changed`: the pacing after the change, before the way out, so that only the way's own cuts are listed.
 */
export function comparer(before: Compared): (after: Compared, changed: ClassPacing) => Consequence {
  const was = datesOf(before.layout, before.calendar.meetings)
  const oldBadDays = new Set(badDaysOf(before).map(badDayKey))
  return (after, changed) => {
    const now = datesOf(after.layout, after.calendar.meetings)
    const { sequence } = after.course
    const notFitting = sequence.filter(
      (l) => was.has(l.id) && !now.has(l.id) && after.pacing.left[l.id] === undefined,
    )
    const fixedMoved = fixedMovedBetween(before, was, after, now)
    const cuts = cutsBetween(sequence, changed, after.pacing)
    return {
      moved: movedBetween(was, now),
      fixedMoved,
      cuts,
      notFitting: notFitting.map((l) => l.id),
      badDays: badDaysOf(after).filter((b) => !oldBadDays.has(badDayKey(b))),
      slackHalves: after.layout.slackHalves,
      price: priceOf(after, cuts, notFitting) + fixedMoved.length * PRICES.fixedDate,
    }
  }
}

function priceOf(
  { course, pacing }: Compared,
  cuts: Consequence['cuts'],
  notFitting: readonly PlanLesson[],
): number {
  const lessons = new Map(course.sequence.map((l) => [l.id, l]))
  const cost = (lesson: PlanLesson, from: number, to: number) =>
    priceOfCut(lesson, inHalves(course.track, { unit: lesson.length.unit, amount: from - to }, 0), to === 0)
  const price =
    cuts.reduce((n, c) => n + cost(lessons.get(c.lessonId) as PlanLesson, c.from, c.to), 0) +
    notFitting.reduce((n, l) => n + cost(l, amountOf(l, pacing.lengths), 0), 0)
  return Math.round(price * 100) / 100
}

function badDayKey({ lessonId, why }: Consequence['badDays'][number]): string {
  return `${lessonId} ${why}`
}

type Dates = ReturnType<typeof datesOf>

function movedBetween(was: Dates, now: Dates): Consequence['moved'] {
  const moved: Consequence['moved'][number][] = []
  for (const [lessonId, { firstOn, lastOn }] of now) {
    const old = was.get(lessonId)
    if (old && old.firstOn !== firstOn) moved.push({ lessonId, fromOn: old.firstOn, toOn: firstOn })
    else if (old && old.lastOn !== lastOn) moved.push({ lessonId, fromOn: old.lastOn, toOn: lastOn })
  }
  return moved
}

/** Lessons with a date that is not kept; one that was taken out or let go has none to keep. */
function fixedMovedBetween(
  before: Compared,
  was: Dates,
  after: Compared,
  now: Dates,
): Consequence['fixedMoved'] {
  const out: { lessonId: LessonId; fromOn: IsoDay; toOn: IsoDay | null }[] = []
  const still = new Set(after.course.sequence.map((l) => l.id))
  for (const lesson of before.course.sequence) {
    const fixed = fixedOf(lesson, before.pacing)
    if (!fixed || !still.has(lesson.id) || after.pacing.left[lesson.id] !== undefined) continue
    const [old, next] = [was.get(lesson.id), now.get(lesson.id)]
    if (old && (fixed.kind === 'on' ? old.firstOn !== next?.firstOn : !within(fixed, next)))
      out.push({ lessonId: lesson.id, fromOn: old.firstOn, toOn: next?.firstOn ?? null })
  }
  return out
}

function within(
  fixed: FixedDate,
  dates: { readonly firstOn: IsoDay; readonly lastOn: IsoDay } | undefined,
): boolean {
  if (!dates) return false
  if (fixed.kind === 'within') return fixed.fromOn <= dates.firstOn && dates.lastOn <= fixed.throughOn
  return fixed.kind === 'not-before' ? fixed.on <= dates.firstOn : dates.lastOn <= fixed.on
}

function cutsBetween(
  sequence: readonly PlanLesson[],
  from: ClassPacing,
  to: ClassPacing,
): Consequence['cuts'] {
  const out: Consequence['cuts'][number][] = []
  for (const lesson of sequence) {
    const { id } = lesson
    const amount = amountOf(lesson, from.lengths)
    const left = to.left[id] ?? null
    if (left !== null && from.left[id] === undefined)
      out.push({ lessonId: id, unit: lesson.length.unit, from: amount, to: 0, left })
    else if (left === null && amountOf(lesson, to.lengths) < amount)
      out.push({
        lessonId: id,
        unit: lesson.length.unit,
        from: amount,
        to: amountOf(lesson, to.lengths),
        left: null,
      })
  }
  return out
}

/** Lessons of a layout that lie on a bad day. */
function badDaysOf({ layout, calendar, course }: Compared): Consequence['badDays'] {
  const out: { lessonId: LessonId; on: IsoDay; why: BadDay }[] = []
  const extents = extentsOf(layout)
  for (const { id, kind, notAfterBreak } of course.sequence) {
    const extent = extents.get(id)
    const first = extent && calendar.meetings[extent.first]
    if (!extent || !first) continue
    const isScored = kind === 'check' || kind === 'test' || kind === 'project'
    if (isScored && first.minutes < first.usualMinutes) out.push({ lessonId: id, on: first.on, why: 'short' })
    if (first.afterBreak && (kind === 'check' || kind === 'test' || notAfterBreak))
      out.push({ lessonId: id, on: first.on, why: 'after-break' })
    const split = calendar.meetings
      .slice(extent.first + 1, extent.last + 1)
      .find((m: Meeting) => m.afterBreak)
    if (split && kind !== 'project') out.push({ lessonId: id, on: split.on, why: 'across-break' })
  }
  return out
}

/**
 * The commands that turn one pacing of a class into another, as far as ways out and fits change it: lengths,
 * what is left out, fixed dates.
 */
export function commandsBetween(classId: ClassId, from: ClassPacing, to: ClassPacing): ClassCommand[] {
  const commands: ClassCommand[] = []
  const keys = (part: 'lengths' | 'left' | 'fixed') =>
    [...new Set([...Object.keys(from[part]), ...Object.keys(to[part])])].sort() as LessonId[]
  for (const lessonId of keys('lengths'))
    if (from.lengths[lessonId] !== to.lengths[lessonId])
      commands.push({
        kind: 'length',
        classId,
        lessonId,
        from: from.lengths[lessonId] ?? null,
        to: to.lengths[lessonId] ?? null,
      })
  for (const lessonId of keys('left'))
    if (from.left[lessonId] !== to.left[lessonId])
      commands.push({
        kind: 'lesson',
        classId,
        lessonId,
        part: 'left',
        from: from.left[lessonId] ?? null,
        to: to.left[lessonId] ?? null,
      })
  for (const lessonId of keys('fixed'))
    if (!same(from.fixed[lessonId], to.fixed[lessonId]))
      commands.push({
        kind: 'lesson',
        classId,
        lessonId,
        part: 'fixed',
        from: from.fixed[lessonId] ?? null,
        to: to.fixed[lessonId] ?? null,
      })
  return commands
}
