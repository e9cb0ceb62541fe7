import { same } from '../../base'
import type { LessonId, UnitId } from '../../base'
import type { FixedDate, LessonKind, LessonLength, Plan, PlanLesson, PlanUnit, Weight } from '../plan'
import type { PlanCommand } from './types'

/** The command that turns one plan into another, lesson by lesson; null when they are the same. */
export function planCommand(from: Plan, to: Plan): PlanCommand | null {
  const [old, next] = [new Map(from.lessons.map((l) => [l.id, l])), new Map(to.lessons.map((l) => [l.id, l]))]
  const lessons = [...new Set([...old.keys(), ...next.keys()])]
    .filter((id) => !same(old.get(id), next.get(id)))
    .map((lessonId) => ({ lessonId, from: old.get(lessonId) ?? null, to: next.get(lessonId) ?? null }))
  const [before, after] = [from.lessons.map((l) => l.id), to.lessons.map((l) => l.id)]
  const changed = <T>(a: readonly T[], b: readonly T[]) => (same(a, b) ? null : { from: a, to: b })
  const command: PlanCommand = {
    kind: 'plan',
    planId: from.id,
    lessons,
    order: changed(before, after),
    units: changed(from.units, to.units),
    parts: changed(from.parts, to.parts),
  }
  return lessons.length === 0 && !command.order && !command.units && !command.parts ? null : command
}

/** What a row of a table says about a lesson; null leaves it as it is. */
export interface LessonRow {
  readonly unit: string | null
  readonly number: string
  readonly title: string | null
  readonly kind: LessonKind | null
  readonly weight: Weight | null
  readonly length: LessonLength | null
  /** 'none' takes a fixed date away. */
  readonly fixed: FixedDate | 'none' | null
  readonly notAfterBreak: boolean | null
}

export interface TableMerge {
  readonly plan: Plan
  readonly changed: readonly string[]
  readonly added: readonly string[]
  readonly absent: readonly string[]
}

/**
 * A plan with a table's rows taken in: a row changes the lesson with its number, or adds one to its unit. Lessons
 * the table does not name stay. When it names all of them, its order holds; otherwise new lessons stand behind the
 * row before them.
 * @param newId makes ids for lessons and units that are new.
 */
export function mergeTable(plan: Plan, rows: readonly LessonRow[], newId: () => string): TableMerge {
  const units: PlanUnit[] = [...plan.units]
  const lessons = [...plan.lessons]
  const [changed, added]: [string[], string[]] = [[], []]
  let before: LessonId | null = null
  const order: LessonId[] = []
  for (const row of rows) {
    const at = lessons.findIndex((l) => l.number.toLowerCase() === row.number.toLowerCase())
    const known = lessons[at]
    const unitId = unitFor(
      row.unit,
      known?.unitId ?? lessons.find((l) => l.id === before)?.unitId ?? units[0]?.id ?? null,
      units,
      newId,
    )
    const next = taken(known ?? blank(newId() as LessonId, unitId), { ...row, unit: null }, unitId)
    if (!known) {
      lessons.splice(
        before === null ? lessons.length : lessons.findIndex((l) => l.id === before) + 1,
        0,
        next,
      )
      added.push(row.number)
    } else if (!same(known, next)) {
      lessons[at] = next
      changed.push(row.number)
    }
    before = next.id
    order.push(next.id)
  }
  const named = new Set(order)
  const absent = lessons.filter((l) => !named.has(l.id)).map((l) => l.number)
  const sorted =
    absent.length === 0 ? order.map((id) => lessons.find((l) => l.id === id) as PlanLesson) : lessons
  return { plan: { ...plan, units, lessons: sorted }, changed, added, absent }
}

function unitFor(
  title: string | null,
  fallback: UnitId | null,
  units: PlanUnit[],
  newId: () => string,
): UnitId {
  const found =
    title === null
      ? units.find((u) => u.id === fallback)
      : units.find((u) => u.title.toLowerCase() === title.toLowerCase())
  if (found) return found.id
  const unit: PlanUnit = {
    id: newId() as UnitId,
    number: String(units.length + 1),
    title: title ?? 'Unit',
    partId: null,
  }
  units.push(unit)
  return unit.id
}

/** A new lesson of one meeting. */
export function blank(id: LessonId, unitId: UnitId): PlanLesson {
  return {
    id,
    unitId,
    number: '',
    title: 'New lesson',
    kind: 'lesson',
    length: { unit: 'meetings', min: 0.5, typical: 1, max: 2 },
    weight: 'core',
    fixed: null,
    notAfterBreak: false,
    bookLessonId: null,
  }
}

function taken(lesson: PlanLesson, row: LessonRow, unitId: UnitId): PlanLesson {
  return {
    ...lesson,
    unitId,
    number: row.number,
    title: row.title ?? lesson.title,
    kind: row.kind ?? lesson.kind,
    weight: row.weight ?? lesson.weight,
    length: row.length ?? lesson.length,
    fixed: row.fixed === null ? lesson.fixed : row.fixed === 'none' ? null : row.fixed,
    notAfterBreak: row.notAfterBreak ?? lesson.notAfterBreak,
  }
}
