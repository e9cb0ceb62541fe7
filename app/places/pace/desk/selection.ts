import type { ClassId, IsoDay, LessonId } from '#core/base'
import type { DeskColumn } from '../stores/deskColumn'

/** What is chosen on the desk: a lesson in a class, or one of its meetings. */
export type Selection =
  | { readonly kind: 'lesson'; readonly classId: ClassId; readonly lessonId: LessonId }
  | { readonly kind: 'meeting'; readonly classId: ClassId; readonly on: IsoDay; readonly startMinute: number }

/**
 * A lesson or a piece of work dropped on a stone (to stand before it, or to hang on it) or on a free meeting.
 */
export type Drop = {
  readonly classId: ClassId
  readonly onto: { readonly before: LessonId } | { readonly meeting: number }
} & ({ readonly lessonId: LessonId } | { readonly pieceId: string })

/** The meeting a step goes out from: the lesson's first one, or the meeting itself. */
function dayOf(at: Selection, column: DeskColumn): IsoDay | null {
  if (at.kind === 'meeting') return at.on
  const extent = column.extents.get(at.lessonId)
  return extent ? (column.calendar.meetings[extent.first]?.on ?? null) : null
}

/** The lesson that lies on or after a date, else the last one before. */
function lessonNear(column: DeskColumn, on: IsoDay): Selection | null {
  let best: LessonId | null = null
  for (const [lessonId, { last }] of column.extents) {
    best = lessonId
    if ((column.calendar.meetings[last]?.on ?? on) >= on) break
  }
  return best ? { kind: 'lesson', classId: column.of.id, lessonId: best } : null
}

/** One step along the lessons of the class. */
export function alongLessons(at: Selection, columns: readonly DeskColumn[], step: 1 | -1): Selection | null {
  const column = columns.find((c) => c.of.id === at.classId)
  if (!column) return null
  if (at.kind === 'meeting') return lessonNear(column, at.on)
  const ids = [...column.extents.keys()]
  const next = ids[ids.indexOf(at.lessonId) + step]
  return next ? { ...at, lessonId: next } : null
}

/** The same lesson in the neighbouring class, or what lies there at that time. */
export function acrossClasses(at: Selection, columns: readonly DeskColumn[], step: 1 | -1): Selection | null {
  const here = columns.findIndex((c) => c.of.id === at.classId)
  const from = columns[here]
  const to = columns[here + step]
  if (!from || !to) return null
  if (at.kind === 'lesson' && to.extents.has(at.lessonId)) return { ...at, classId: to.of.id }
  const on = dayOf(at, from)
  return on ? lessonNear(to, on) : null
}

/** What a class is at on a date. */
export function atDay(column: DeskColumn, on: IsoDay): Selection | null {
  return lessonNear(column, on)
}

/** The next free or lost meeting of the class, seen from what is chosen. */
export function alongGround(at: Selection, columns: readonly DeskColumn[], step: 1 | -1): Selection | null {
  const column = columns.find((c) => c.of.id === at.classId)
  const on = column && dayOf(at, column)
  if (!column || !on) return null
  const start = at.kind === 'meeting' ? at.startMinute : step > 0 ? -1 : 1440
  const placeOf = (m: { readonly on: IsoDay; readonly startMinute: number }) =>
    `${m.on} ${String(m.startMinute + 1).padStart(4, '0')}`
  const here = placeOf({ on, startMinute: start })
  const grounds = groundsOf(column).sort((a, b) => (placeOf(a) < placeOf(b) ? -step : step))
  const next = grounds.find((m) => (step > 0 ? placeOf(m) > here : placeOf(m) < here))
  return next ? { kind: 'meeting', classId: at.classId, on: next.on, startMinute: next.startMinute } : null
}

/** Meetings with free ground, and lost ones. */
interface MeetingAt {
  readonly on: IsoDay
  readonly startMinute: number
}
function groundsOf(column: DeskColumn): MeetingAt[] {
  return [...column.weeks.values()]
    .flatMap((week) => week.stretches)
    .flatMap((s): MeetingAt | MeetingAt[] => {
      if (s.kind === 'stone') return []
      return s.kind === 'lost' ? [s.lost] : (column.calendar.meetings[s.meeting] ?? [])
    })
}

/** What is chosen, if it concerns a class's week; else null, so that its cell is not drawn anew. */
export function chosenIn(
  column: DeskColumn,
  week: { readonly mondayOn: IsoDay },
  at: Selection | null,
): Selection | null {
  const isHere = column.weeks.get(week.mondayOn)?.stretches.some((s) => {
    if (at?.kind === 'lesson') return s.kind === 'stone' && s.lessonId === at.lessonId
    return at?.classId === column.of.id && s.kind !== 'stone'
  })
  return isHere ? at : null
}
