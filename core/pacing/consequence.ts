import type { ClassId, IsoDay, LessonId } from '../base'
import type { ClassCalendar, Meeting } from '../calendar'
import { same } from './command'
import { OMISSION_PRICE, WEIGHT_PRICE } from './fit'
import { datesOf, extentsOf } from './layOut'
import { amountOf, fixedOf } from './sequence'
import type { ClassCommand, ClassPacing, FixedDate, Layout, Left, PlanLesson } from './types'

/** Price of moving one fixed date. */
export const FIXED_PRICE = 6

export const BAD_DAYS = ['short', 'after-break', 'across-break'] as const
/** A day on which a lesson is better not started: a short meeting for a check, test or project; the first meeting after a break; a break in its middle. */
export type BadDay = typeof BAD_DAYS[number]

/** Everything a way out does to one class's layout. Lengths in the lesson's own unit. */
export interface Consequence {
  readonly moved: readonly { readonly lessonId: LessonId, readonly fromOn: IsoDay, readonly toOn: IsoDay }[]
  readonly fixedMoved: readonly { readonly lessonId: LessonId, readonly fromOn: IsoDay, readonly toOn: IsoDay | null }[]
  readonly cuts: readonly { readonly lessonId: LessonId, readonly unit: PlanLesson['length']['unit'], readonly from: number, readonly to: number, readonly left: Left | null }[]
  /** Lessons that were placed before and no longer fit. */
  readonly notFitting: readonly LessonId[]
  readonly badDays: readonly { readonly lessonId: LessonId, readonly on: IsoDay, readonly why: BadDay }[]
  readonly slackHalves: number
  readonly price: number
}

export interface Compared { readonly layout: Layout, readonly pacing: ClassPacing, readonly calendar: ClassCalendar, readonly sequence: readonly PlanLesson[] }

/** What differs between two layouts of a class. `changed`: the pacing after the change, before the way out, so that only the way's own cuts are listed. */
export function compareLayouts(before: Compared, after: Compared, changed: ClassPacing): Consequence {
  const [was, now] = [datesOf(before.layout, before.calendar.meetings), datesOf(after.layout, after.calendar.meetings)]
  const moved: { lessonId: LessonId, fromOn: IsoDay, toOn: IsoDay }[] = []
  for (const [lessonId, { firstOn, lastOn }] of now) {
    const old = was.get(lessonId)
    if (old && (old.firstOn !== firstOn || old.lastOn !== lastOn)) moved.push(old.firstOn !== firstOn ? { lessonId, fromOn: old.firstOn, toOn: firstOn } : { lessonId, fromOn: old.lastOn, toOn: lastOn })
  }
  const lessons = new Map(after.sequence.map(l => [l.id, l]))
  const notFitting = [...was.keys()].filter(id => !now.has(id) && lessons.has(id) && after.pacing.left[id] === undefined)
  const fixedMoved = fixedMovedBetween(before, after, was, now)
  const cuts = cutsBetween(lessons, changed, after.pacing)
  const price = cuts.reduce((n, c) => n + cutPrice(lessons.get(c.lessonId) as PlanLesson, c.from, c.to), 0)
    + notFitting.reduce((n, id) => n + cutPrice(lessons.get(id) as PlanLesson, amountOf(lessons.get(id) as PlanLesson, after.pacing.lengths), 0), 0) + fixedMoved.length * FIXED_PRICE
  return { moved, fixedMoved, cuts, notFitting, badDays: newBadDays(before, after), slackHalves: after.layout.slackHalves, price: Math.round(price * 100) / 100 }
}

function cutPrice(lesson: PlanLesson, from: number, to: number): number {
  const meetings = (from - to) / (lesson.length.unit === 'minutes' ? 50 : 2)
  return (lesson.kind === 'buffer' ? 0 : WEIGHT_PRICE[lesson.weight]) * meetings + (to === 0 && lesson.kind !== 'buffer' ? OMISSION_PRICE : 0)
}

type Dates = ReturnType<typeof datesOf>

function fixedMovedBetween(before: Compared, after: Compared, was: Dates, now: Dates): Consequence['fixedMoved'] {
  const out: { lessonId: LessonId, fromOn: IsoDay, toOn: IsoDay | null }[] = []
  for (const lesson of before.sequence) {
    const fixed = fixedOf(lesson, before.pacing)
    const [old, next] = [was.get(lesson.id), now.get(lesson.id)]
    if (fixed && old && (fixed.kind === 'on' ? old.firstOn !== next?.firstOn : !within(fixed, next))) out.push({ lessonId: lesson.id, fromOn: old.firstOn, toOn: next?.firstOn ?? null })
  }
  return out
}

function within(fixed: FixedDate, dates: { readonly firstOn: IsoDay, readonly lastOn: IsoDay } | undefined): boolean {
  if (!dates) return false
  if (fixed.kind === 'within') return fixed.fromOn <= dates.firstOn && dates.lastOn <= fixed.throughOn
  return fixed.kind === 'not-before' ? fixed.on <= dates.firstOn : dates.lastOn <= fixed.on
}

function cutsBetween(lessons: ReadonlyMap<LessonId, PlanLesson>, from: ClassPacing, to: ClassPacing): Consequence['cuts'] {
  const out: Consequence['cuts'][number][] = []
  for (const [id, lesson] of lessons) {
    const amount = amountOf(lesson, from.lengths)
    const left = to.left[id] ?? null
    if (left !== null && from.left[id] === undefined) out.push({ lessonId: id, unit: lesson.length.unit, from: amount, to: 0, left })
    else if (left === null && amountOf(lesson, to.lengths) < amount) out.push({ lessonId: id, unit: lesson.length.unit, from: amount, to: amountOf(lesson, to.lengths), left: null })
  }
  return out
}

function newBadDays(before: Compared, after: Compared): Consequence['badDays'] {
  const old = new Set(badDaysOf(before).map(b => `${b.lessonId} ${b.why}`))
  return badDaysOf(after).filter(b => !old.has(`${b.lessonId} ${b.why}`))
}

/** Lessons of a layout that lie on a bad day. */
export function badDaysOf({ layout, calendar, sequence }: Omit<Compared, 'pacing'>): Consequence['badDays'] {
  const out: { lessonId: LessonId, on: IsoDay, why: BadDay }[] = []
  const extents = extentsOf(layout)
  for (const { id, kind, notAfterBreak } of sequence) {
    const extent = extents.get(id)
    const first = extent && calendar.meetings[extent.first]
    if (!extent || !first) continue
    const isScored = kind === 'check' || kind === 'test' || kind === 'project'
    if (isScored && first.minutes < first.usualMinutes) out.push({ lessonId: id, on: first.on, why: 'short' })
    if (first.afterBreak && (kind === 'check' || kind === 'test' || notAfterBreak)) out.push({ lessonId: id, on: first.on, why: 'after-break' })
    const split = calendar.meetings.slice(extent.first + 1, extent.last + 1).find((m: Meeting) => m.afterBreak)
    if (split && kind !== 'project') out.push({ lessonId: id, on: split.on, why: 'across-break' })
  }
  return out
}

/** The commands that turn one pacing of a class into another, as far as ways out and fits change it: lengths, what is left out, fixed dates. */
export function commandsBetween(classId: ClassId, from: ClassPacing, to: ClassPacing): ClassCommand[] {
  const commands: ClassCommand[] = []
  const keys = (part: 'lengths' | 'left' | 'fixed') => [...new Set([...Object.keys(from[part]), ...Object.keys(to[part])])].sort() as LessonId[]
  for (const lessonId of keys('lengths')) if (from.lengths[lessonId] !== to.lengths[lessonId]) commands.push({ kind: 'length', classId, lessonId, from: from.lengths[lessonId] ?? null, to: to.lengths[lessonId] ?? null })
  for (const lessonId of keys('left')) if (from.left[lessonId] !== to.left[lessonId]) commands.push({ kind: 'lesson', classId, lessonId, part: 'left', from: from.left[lessonId] ?? null, to: to.left[lessonId] ?? null })
  for (const lessonId of keys('fixed')) if (!same(from.fixed[lessonId], to.fixed[lessonId])) commands.push({ kind: 'lesson', classId, lessonId, part: 'fixed', from: from.fixed[lessonId] ?? null, to: to.fixed[lessonId] ?? null })
  return commands
}
