import { assertNever, ok, refuse, same, weekdayOf } from '../../base'
import type { Result } from '../../base'
import { checkPattern, checkYear, inOrder, schoolDays } from '../../calendar'
import type { CalendarRefusal, SchoolDay, SchoolYear } from '../../calendar'
import { checkPlan } from '../plan'
import type { Plan, Seen } from '../plan'
import type { PacingRefusal } from '../refusals'
import { checkIds } from './checkIds'
import { tooManyNotes } from './tooManyNotes'
import { applyToClass, singlesOf } from './command'
import { yearOf } from './state'
import type { ClassOnPlan, PacingState } from './state'
import type {
  ClassCommand,
  NoteCommand,
  PacingCommand,
  PatternCommand,
  PlanCommand,
  SingleCommand,
  YearCommand,
} from './types'

/**
 * Performs a planning act: all of its commands, or none. Refused with the first refusal when anything the teacher
 * saw is no longer so, or a plan or year would not hold together any more.
 */
export function act(
  state: PacingState,
  command: PacingCommand,
): Result<PacingState, PacingRefusal | CalendarRefusal> {
  const fault = checkIds(command) ?? tooManyNotes(command)
  if (fault) return refuse(fault)
  const dayOf = dayFinder()
  let now = state
  for (const one of singlesOf(command)) {
    const next = actOne(now, one, dayOf)
    if (!next.ok) return next
    now = next.value
  }
  if (!singlesOf(command).some((one) => one.kind === 'note')) return ok(now)
  // once for all notes: looking at a whole year for each of hundreds took minutes
  const year = checkYear(yearOf(now))
  return year.ok ? ok({ ...now, year: year.value }) : year
}

type DayOf = (year: SchoolYear, on: string) => SchoolDay | undefined

/** Finds days of a year; the days of one and the same year are gone through once. */
function dayFinder(): DayOf {
  const known = new Map<SchoolYear, ReadonlyMap<string, SchoolDay>>()
  return (year, on) => {
    const days = known.get(year) ?? new Map(schoolDays(year).map((d) => [d.on, d]))
    known.set(year, days)
    return days.get(on)
  }
}

function actOne(
  state: PacingState,
  command: SingleCommand,
  dayOf: DayOf,
): Result<PacingState, PacingRefusal | CalendarRefusal> {
  switch (command.kind) {
    case 'note':
      return actNote(state, command)
    case 'year':
      return actYear(state, command)
    case 'pattern':
      return actPattern(state, command)
    case 'plan':
      return actPlan(state, command)
    case 'length':
    case 'meeting':
    case 'lesson':
    case 'class':
      return actClass(state, command, dayOf)
    default:
      return assertNever(command)
  }
}

function actClass(
  state: PacingState,
  command: ClassCommand,
  dayOf: DayOf,
): Result<PacingState, PacingRefusal> {
  const of = state.classes.get(command.classId)
  const plan = of?.planId ? state.plans.get(of.planId) : undefined
  if (!of) throw new Error('act on a class that was not loaded')
  const next = applyToClass(of.pacing, command, {
    plan: plan ?? { lessons: [] },
    hasMeeting: (on, start) => hasMeeting(dayOf(yearOf(state), on), of, on, start),
  })
  return next.ok
    ? ok({ ...state, classes: new Map(state.classes).set(command.classId, { ...of, pacing: next.value }) })
    : next
}

/** Whether a class's pattern, or a meeting added by hand, has a meeting then. */
function hasMeeting(day: SchoolDay | undefined, of: ClassOnPlan, on: string, startMinute: number): boolean {
  if (of.pacing.changes.some((c) => c.kind === 'add' && c.on === on && c.startMinute === startMinute))
    return true
  if (!day || day.closedBy !== null) return false
  return of.pattern.some(
    (r) =>
      r.startMinute === startMinute &&
      (r.fromOn ?? on) <= on &&
      on <= (r.throughOn ?? on) &&
      ('weekday' in r.day ? r.day.weekday === weekdayOf(day.on) : r.day.label === day.label),
  )
}

function actNote(
  state: PacingState,
  { from, to }: NoteCommand,
): Result<PacingState, PacingRefusal | CalendarRefusal> {
  const id = from?.id ?? to?.id
  const year = yearOf(state)
  const now = year.notes.find((n) => n.id === id) ?? null
  if (!same(now, from))
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'day-note', note: from },
      now: { of: 'day-note', note: now },
    })
  const notes = year.notes.filter((n) => n !== now)
  if (to !== null) notes.push(to)
  return ok({ ...state, year: { ...year, notes } })
}

type YearPart = Exclude<keyof SchoolYear, 'id'>
/** All that somebody may have changed meanwhile. */
const YEAR_PARTS = Object.keys({
  name: true,
  zone: true,
  firstOn: true,
  lastOn: true,
  weekdays: true,
  terms: true,
  notes: true,
  rotation: true,
  wholeFromRatio: true,
  freeTime: true,
} satisfies Record<YearPart, true>) as readonly YearPart[]

/** The year is replaced as a whole; every class loaded must still be able to meet in it. */
function actYear(
  state: PacingState,
  { from, to }: YearCommand,
): Result<PacingState, PacingRefusal | CalendarRefusal> {
  const [now, seen] = [inOrder(yearOf(state)), inOrder(from)]
  const changed = YEAR_PARTS.filter((part) => !same(now[part], seen[part]))
  if (changed.length > 0)
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'year', changed },
      now: { of: 'year', changed },
    })
  const year = checkYear(to)
  if (!year.ok) return year
  for (const { pattern } of state.classes.values()) {
    const fits = checkPattern(year.value, pattern)
    if (!fits.ok) return fits
  }
  return ok({ ...state, year: year.value })
}

function actPattern(
  state: PacingState,
  { classId, from, to }: PatternCommand,
): Result<PacingState, PacingRefusal | CalendarRefusal> {
  const of = state.classes.get(classId)
  if (!of) throw new Error('act on a class that was not loaded')
  if (!same(of.pattern, from))
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'pattern' },
      now: { of: 'pattern' },
    })
  const pattern = checkPattern(yearOf(state), to)
  return pattern.ok
    ? ok({ ...state, classes: new Map(state.classes).set(classId, { ...of, pattern: pattern.value }) })
    : pattern
}

/** Which part of a plan is no longer as the teacher saw it, lessons first; null when all is. */
function changedMeanwhile(plan: Plan, command: PlanCommand): PacingRefusal | null {
  const refused = (seen: Seen, now: Seen): PacingRefusal => ({
    code: 'pacing/changed-meanwhile',
    field: 'from',
    seen,
    now,
  })
  const lessons = new Map(plan.lessons.map((l) => [l.id, l]))
  for (const { lessonId, from } of command.lessons) {
    const now = lessons.get(lessonId) ?? null
    if (!same(now, from)) return refused({ of: 'lesson', lesson: from }, { of: 'lesson', lesson: now })
  }
  const { order, units, parts } = command
  const orderNow = plan.lessons.map((l) => l.id)
  if (order && !same(orderNow, order.from)) return refused({ of: 'order' }, { of: 'order' })
  if (units && !same(plan.units, units.from)) return refused(titlesOf(units.from), titlesOf(plan.units))
  if (parts && !same(plan.parts, parts.from)) return refused(titlesOf(parts.from), titlesOf(plan.parts))
  return null
}

function titlesOf(of: readonly { readonly title: string }[]): Seen {
  return { of: 'titles', titles: of.map(({ title }) => title) }
}

function actPlan(state: PacingState, command: PlanCommand): Result<PacingState, PacingRefusal> {
  const plan = state.plans.get(command.planId)
  if (!plan) throw new Error('act on a plan that was not loaded')
  const stale = changedMeanwhile(plan, command)
  if (stale) return refuse(stale)
  const lessons = new Map(plan.lessons.map((l) => [l.id, l]))
  for (const { lessonId, to } of command.lessons) {
    if (to === null) lessons.delete(lessonId)
    else lessons.set(lessonId, to)
  }
  const wanted = command.order?.to ?? plan.lessons.map((l) => l.id).filter((id) => lessons.has(id))
  const isWhole = wanted.length === lessons.size && new Set(wanted).size === wanted.length
  // without an order, taking back a lesson that went would not know where it stood
  const comesOrGoes = command.lessons.some((l) => (l.from === null) !== (l.to === null))
  const saysWhere = command.order !== null || !comesOrGoes
  if (!saysWhere || !isWhole || wanted.some((id) => !lessons.has(id)))
    return refuse({ code: 'pacing/bad-order', field: 'order' })
  const next = checkPlan({
    ...plan,
    parts: command.parts?.to ?? plan.parts,
    units: command.units?.to ?? plan.units,
    lessons: wanted.map((id) => lessons.get(id) as Plan['lessons'][number]),
  })
  return next.ok ? ok({ ...state, plans: new Map(state.plans).set(plan.id, next.value) }) : next
}
