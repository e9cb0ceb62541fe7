import { asId } from '../../base'
import type { LessonId, UnitId } from '../../base'
import type { ClassPacing, LessonRecord } from './classPacing'
import type { FixedDate, Plan, PlanLesson } from './types'

/**
 * The lessons of one class in its own order, the class's own lessons included. Lessons that came to the plan
 * after the class chose its order stand behind the lesson they follow in the plan. What was held and is no
 * longer in the plan stands where it was held, by the name it had then.
 */
export function sequenceOf(
  plan: Pick<Plan, 'lessons'>,
  pacing: Pick<ClassPacing, 'order' | 'added'> & Partial<Pick<ClassPacing, 'records'>>,
): readonly PlanLesson[] {
  return withGone(inOwnOrder(plan, pacing), pacing.records ?? {})
}

function inOwnOrder(
  plan: Pick<Plan, 'lessons'>,
  pacing: Pick<ClassPacing, 'order' | 'added'>,
): readonly PlanLesson[] {
  const added = Object.values<PlanLesson>(pacing.added)
  if (pacing.order === null && added.length === 0) return plan.lessons
  const known = new Map([...plan.lessons, ...added].map((l) => [l.id, l]))
  const order = (pacing.order ?? plan.lessons.map((l) => l.id)).filter((id) => known.has(id))
  const placed = new Set(order)
  let before: LessonId | null = null
  for (const { id } of [...plan.lessons, ...added]) {
    if (!placed.has(id)) {
      order.splice(before === null ? 0 : order.indexOf(before) + 1, 0, id)
      placed.add(id)
    }
    before = id
  }
  return order.map((id) => known.get(id) as PlanLesson)
}

function withGone(lessons: readonly PlanLesson[], records: ClassPacing['records']): readonly PlanLesson[] {
  let count = 0
  for (const _ in records) count++
  if (count === 0) return lessons
  for (const { id } of lessons) if (records[id] !== undefined) count--
  if (count === 0) return lessons
  const known = new Set(lessons.map((l) => l.id))
  const gone = (Object.entries(records) as [LessonId, LessonRecord][])
    .filter(([id]) => !known.has(id))
    .sort(([, a], [, b]) => (heldFrom(a) < heldFrom(b) ? -1 : 1))
  const out = [...lessons]
  for (const [id, record] of gone) {
    const from = heldFrom(record)
    // behind the last lesson that was held before it
    let at = out.length
    while (at > 0 && !(heldFrom(records[(out[at - 1] as PlanLesson).id]) <= from)) at--
    out.splice(at, 0, goneLesson(id, record))
  }
  return out
}

/** When a record begins, as text that sorts by time; nothing recorded comes last. */
function heldFrom(record: LessonRecord | undefined): string {
  const first = record?.held[0]
  return first ? `${first.on} ${String(first.startMinute).padStart(4, '0')}` : '9'
}

function goneLesson(id: LessonId, { held, lesson }: LessonRecord): PlanLesson {
  const meetings =
    Math.max(
      1,
      held.reduce((n, h) => n + h.halves, 0),
    ) / 2
  return {
    id,
    unitId: asId<UnitId>('gone'),
    number: lesson?.number ?? '',
    title: lesson?.title ?? '',
    kind: 'lesson',
    length: { unit: 'meetings', min: 0.5, typical: Math.ceil(meetings * 2) / 2, max: 40 },
    weight: 'optional',
    fixed: null,
    notAfterBreak: false,
    bookLessonId: null,
  }
}

/** The order after moving a lesson to stand before another, or at the end (null). */
export function movedTo(order: readonly LessonId[], lessonId: LessonId, before: LessonId | null): LessonId[] {
  const rest = order.filter((id) => id !== lessonId)
  const at = before === null ? rest.length : rest.indexOf(before)
  return [...rest.slice(0, at), lessonId, ...rest.slice(at)]
}

/** The fixed date that holds for a lesson in a class: its own, else the plan's. */
export function fixedOf(lesson: PlanLesson, pacing: Pick<ClassPacing, 'fixed'>): FixedDate | null {
  const own = pacing.fixed[lesson.id]
  return own === 'free' ? null : (own ?? lesson.fixed)
}

/** A lesson's length for one class in its own unit: half meetings, or minutes. */
export function amountOf(lesson: PlanLesson, lengths: ClassPacing['lengths']): number {
  return lengths[lesson.id] ?? typicalAmount(lesson)
}

/** The plan's typical length in the lesson's own unit: half meetings, or minutes. */
export function typicalAmount(lesson: PlanLesson): number {
  return lesson.length.unit === 'minutes' ? lesson.length.typical : Math.round(lesson.length.typical * 2)
}

/** Meetings that a plan's lessons typically take; lessons counted in minutes are not among them. */
export function meetingsPlanned(lessons: readonly PlanLesson[]): number {
  return lessons.reduce((n, l) => n + (l.length.unit === 'meetings' ? l.length.typical : 0), 0)
}

/** The least length in the lesson's own unit. */
export function leastAmount(lesson: PlanLesson): number {
  return lesson.length.unit === 'minutes' ? lesson.length.min : Math.round(lesson.length.min * 2)
}
