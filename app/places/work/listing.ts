import { addDays } from '#core/base'
import type { ClassId, Instant, IsoDay, LessonId } from '#core/base'
import type { Scale } from '#core/availability'
import type { Zone } from '#core/calendar'
import { NEEDS } from '#core/work'
import type { WorkInClass, WorkRow } from '#shared/contracts/work'
import { NEED_WORDS } from './words/needs'

/** By what the list of work is divided. */
export const DIVISIONS = ['need', 'class', 'lesson'] as const
export type Division = (typeof DIVISIONS)[number]

/** What of the work is listed. Days are those on which something opens or falls due; null: any. */
export interface Filter {
  readonly text: string
  readonly classId: ClassId | null
  readonly fromOn: IsoDay | null
  readonly throughOn: IsoDay | null
}

/** A part of the list; rows may have only some of their classes in it. */
export interface Section {
  readonly key: string
  readonly title: string
  readonly about: string
  readonly rows: readonly WorkRow[]
}

/** The work that a filter lets through, with the classes in which it does. */
export function filtered(rows: readonly WorkRow[], filter: Filter, zone: Zone): readonly WorkRow[] {
  const { classId, fromOn, throughOn } = filter
  const word = filter.text.trim().toLowerCase()
  const hasDays = fromOn !== null || throughOn !== null
  const isWithin = (at: Instant | null) => {
    if (at === null) return false
    // what is due at the end of a day is due on that day
    const { on } = zone.local((at - 1) as Instant)
    return (fromOn === null || on >= fromOn) && (throughOn === null || on <= throughOn)
  }
  const passes = (c: WorkInClass) =>
    (classId === null || c.classId === classId) &&
    (!hasDays || isWithin(c.window.due) || isWithin(afterStart(c.window.opens)))
  return rows.flatMap((row) => {
    if (!row.title.toLowerCase().includes(word)) return []
    if (classId === null && !hasDays) return [row]
    const classes = row.classes.filter(passes)
    return classes.length > 0 ? [{ ...row, classes }] : []
  })
}

/** The start of a day belongs to the day that begins. */
const afterStart = (at: Instant | null) => (at === null ? null : ((at + 1) as Instant))

/** Work divided by what it needs, the most urgent first. */
export function byNeed(rows: readonly WorkRow[]): readonly Section[] {
  return NEEDS.map((need) => ({
    key: need,
    title: NEED_WORDS[need].word,
    about: NEED_WORDS[need].about,
    rows: rows.filter((r) => r.need === need),
  })).filter((s) => s.rows.length > 0)
}

/** Work divided by class, in the order of the classes; what is due last stands first. */
export function byClass(
  rows: readonly WorkRow[],
  classes: readonly { readonly id: string; readonly name: string }[],
): readonly Section[] {
  return classes
    .map(({ id, name }) => ({
      key: id,
      title: name,
      about: '',
      rows: rows
        .map((r) => ({ ...r, classes: r.classes.filter((c) => c.classId === id) }))
        .filter((r) => r.classes.length > 0)
        .sort((a, b) => lastOf(b) - lastOf(a)),
    }))
    .filter((s) => s.rows.length > 0)
}

/** Work divided by the lesson on which it hangs, in the plans' order; what hangs on none comes last. */
export function byLesson(
  rows: readonly WorkRow[],
  lessons: readonly { readonly id: LessonId; readonly number: string; readonly title: string }[],
): readonly Section[] {
  const known = new Set(lessons.map((l) => l.id))
  const hanging = lessons.map(({ id, number, title }) => ({
    key: id as string,
    title: `${number} ${title}`.trim(),
    about: '',
    rows: rows.filter((r) => r.lessonId === id),
  }))
  const others = rows.filter((r) => r.lessonId === null || !known.has(r.lessonId))
  const none = { key: 'none', title: 'On no lesson', about: 'Hangs on dates alone', rows: others }
  return [...hanging, none].filter((s) => s.rows.length > 0)
}

const lastOf = (row: WorkRow) =>
  Math.max(...row.classes.map((c) => c.window.due ?? c.window.opens ?? Number.MAX_SAFE_INTEGER))

/** One scale for all lines of the list: a week back, four ahead, from the beginning of today. */
export function scaleOfList(now: Instant, zone: Zone): Scale {
  const { on } = zone.local(now)
  return { from: zone.at(addDays(on, -7), 0), until: zone.at(addDays(on, 28), 0) }
}

/** The ids chosen once one more is ticked or unticked; with `through`, all rows between it and the last one, too. */
export function chosenWith(
  chosen: ReadonlySet<string>,
  order: readonly string[],
  change: { readonly id: string; readonly isOn: boolean; readonly through: string | null },
): ReadonlySet<string> {
  const { id, isOn, through } = change
  const [a, b] = [order.indexOf(id), through === null ? -1 : order.indexOf(through)]
  const between = b < 0 ? [id] : order.slice(Math.min(a, b), Math.max(a, b) + 1)
  const next = new Set(chosen)
  for (const one of between)
    if (isOn) next.add(one)
    else next.delete(one)
  return next
}
