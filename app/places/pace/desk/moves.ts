import { asId } from '#core/base'
import type { Instant, LessonId } from '#core/base'
import {
  amountOf,
  baselineOf,
  blank,
  isLessonAmount,
  movedTo,
  recordLesson,
  takeBack,
  typicalAmount,
} from '#core/pacing'
import type { Happened, PacingCommand, PlanLesson, SingleCommand } from '#core/pacing'
import type { DeskColumn } from '../stores/deskColumn'

/**
 * True when no lesson but the one a change is about lies elsewhere on the desk after it, and none has lost
 * its place.
 */
export function isStill(
  columns: readonly DeskColumn[],
  after: readonly DeskColumn[],
  about: LessonId | null,
): boolean {
  return columns.every((before) => {
    const next = after.find((c) => c.of.id === before.of.id)
    if (!next || next === before) return true
    if (next.unplaced.length > before.unplaced.length) return false
    return [...before.extents].every(
      ([id, extent]) => id === about || sameDates(before, extent, next, next.extents.get(id)),
    )
  })
}

type Extent = { readonly first: number; readonly last: number }

function sameDates(before: DeskColumn, a: Extent, after: DeskColumn, b: Extent | undefined): boolean {
  return (
    b !== undefined &&
    before.calendar.meetings[a.first]?.on === after.calendar.meetings[b.first]?.on &&
    before.calendar.meetings[a.last]?.on === after.calendar.meetings[b.last]?.on
  )
}

/**
 * The act that makes a lesson longer or shorter by steps of half a meeting (or five minutes), from the length it
 * is just being tried with, if any; `by` null: as in the plan. 'same' when that is the length it has; null when it
 * would be too long or nothing.
 */
export function changeLength(
  column: DeskColumn,
  lessonId: LessonId,
  by: number | null,
  pending: { readonly to: number | null } | null,
): { readonly command: PacingCommand; readonly cause: string } | 'same' | null {
  const lesson = column.lessons.get(lessonId)
  if (!lesson) return null
  const inMinutes = lesson.length.unit === 'minutes'
  const from = column.of.pacing.lengths[lessonId] ?? null
  const now = pending ? (pending.to ?? typicalAmount(lesson)) : amountOf(lesson, column.of.pacing.lengths)
  const wanted = by === null ? typicalAmount(lesson) : now + by * (inMinutes ? 5 : 1)
  if (!isLessonAmount(lesson, wanted)) return null
  const to = wanted === typicalAmount(lesson) ? null : wanted
  if (to === from) return 'same'
  return {
    command: { kind: 'length', classId: column.of.id, lessonId, from, to },
    cause: `${lesson.number || lesson.title} ${wanted > (from ?? typicalAmount(lesson)) ? 'longer' : 'shorter'}`,
  }
}

/**
 * The act that puts a lesson before another one of its class, or at the end (null); null when it stands there
 * already.
 */
export function moveBefore(
  column: DeskColumn,
  lessonId: LessonId,
  before: LessonId | null,
): PacingCommand | null {
  const order = column.sequence.map((l) => l.id)
  const to = movedTo(order, lessonId, before)
  if (lessonId === before || to.every((id, i) => id === order[i])) return null
  return { kind: 'class', classId: column.of.id, part: 'order', from: column.of.pacing.order, to }
}

/** The act that moves a lesson one place earlier or later in its class. */
export function moveBy(column: DeskColumn, lessonId: LessonId, step: 1 | -1): PacingCommand | null {
  const order = column.sequence.map((l) => l.id)
  const at = order.indexOf(lessonId)
  const target = step < 0 ? order[at - 1] : (order[at + 2] ?? null)
  return (step < 0 && at <= 0) || (step > 0 && at >= order.length - 1)
    ? null
    : moveBefore(column, lessonId, target ?? null)
}

/** The act that puts a lesson onto free ground: behind the lesson before it, and not before that day. */
export function moveToGround(column: DeskColumn, lessonId: LessonId, meeting: number): PacingCommand | null {
  const on = column.calendar.meetings[meeting]?.on
  if (!on) return null
  const commands: SingleCommand[] = []
  const order = moveBefore(column, lessonId, lessonAfter(column, meeting, lessonId))
  if (order) commands.push(order as SingleCommand)
  commands.push({
    kind: 'lesson',
    classId: column.of.id,
    lessonId,
    part: 'fixed',
    from: column.of.pacing.fixed[lessonId] ?? null,
    to: { kind: 'not-before', on },
  })
  return { kind: 'together', purpose: { code: 'move', lessonId }, commands }
}

/** The first lesson of the order that lies behind a meeting; null at the end. */
function lessonAfter(column: DeskColumn, meeting: number, but: LessonId | null): LessonId | null {
  return (
    column.sequence.find((l) => l.id !== but && (column.extents.get(l.id)?.first ?? -1) >= meeting)?.id ??
    null
  )
}

/** The act that adds a lesson of the class's own onto free ground. */
export function addOnGround(
  column: DeskColumn,
  meeting: number,
  title: string,
  newId: string,
): PacingCommand | null {
  const on = column.calendar.meetings[meeting]?.on
  const next = lessonAfter(column, meeting, null)
  const unitId = (next ? column.lessons.get(next) : column.sequence[column.sequence.length - 1])?.unitId
  if (!on || !unitId) return null
  const lesson: PlanLesson = {
    ...blank(asId<LessonId>(newId), unitId),
    title,
    fixed: { kind: 'not-before', on },
  }
  const order = column.sequence.map((l) => l.id)
  const at = next === null ? order.length : order.indexOf(next)
  return {
    kind: 'together',
    purpose: { code: 'add', lessonId: lesson.id },
    commands: [
      { kind: 'lesson', classId: column.of.id, lessonId: lesson.id, part: 'added', from: null, to: lesson },
      {
        kind: 'class',
        classId: column.of.id,
        part: 'order',
        from: column.of.pacing.order,
        to: [...order.slice(0, at), lesson.id, ...order.slice(at)],
      },
    ],
  }
}

/** The act that records what happened to a lesson. */
export function recordOn(column: DeskColumn, lessonId: LessonId, happened: Happened, now: Instant) {
  const standing = standingOf(column)
  return standing && recordLesson(standing, lessonId, happened, now)
}

/** The act that takes a lesson's record back, with those behind it. */
export function takeBackOn(column: DeskColumn, lessonId: LessonId) {
  const standing = standingOf(column)
  return standing && takeBack(standing, lessonId)
}

function standingOf({ of, sequence, layout, calendar }: DeskColumn) {
  return layout && { classId: of.id, sequence, pacing: of.pacing, layout, meetings: calendar.meetings }
}

/** The act that takes the layouts of classes as they stand for their baselines. */
export function agreeOn(columns: readonly DeskColumn[], now: Instant): PacingCommand | null {
  const commands = columns
    .flatMap((c) => (c.of.mayChange && c.layout ? [{ c, layout: c.layout }] : []))
    .map(({ c, layout }): SingleCommand => ({
      kind: 'class',
      classId: c.of.id,
      part: 'baseline',
      from: c.of.pacing.baseline,
      to: baselineOf(layout, c.calendar.meetings, now),
    }))
  return commands.length === 0
    ? null
    : { kind: 'together', purpose: { code: 'agree', lessonId: null }, commands }
}
