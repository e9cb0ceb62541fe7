import type { IsoDay, LessonId } from '../../base'
import type { Term } from '../../calendar'
import { AS_PLANNED } from '../plan'
import type { ClassPacing, HeldSlot, Plan } from '../plan'
import { beginsAt, halvesBetween, inHalves, meetingHeld, meetingOf, place, startAt } from '../track'
import type { Ground, Position, Track } from '../track'
import { courseOf } from './course'
import type { Course } from './course'
import type { Item } from './item'
import type { Limit } from './limits'
import type { Layout, LayoutFinding, NotPlaced, Placement } from './types'
import type { Slot } from '../track'

export type LayablePlan = Pick<Plan, 'lessons'> & Partial<Pick<Plan, 'parts' | 'units'>>
/** What laying out takes beside plan and meetings; everything may be absent. */
export interface LayOutInput {
  readonly pacing?: ClassPacing
  readonly terms?: readonly Term[]
}

/**
 * Lays a plan onto a class's meetings. What is recorded stands where it was held; every other lesson takes the
 * next free capacity after the record, in the class's order, across meetings where needed. A fixed lesson keeps
 * its date: free meetings stay in front of it, and what no longer fits before it is reported with the reason, like
 * what does not fit into its part or the year; later lessons of that stretch are then reported too, so that the
 * order is kept.
 * @example A 1.5-meeting lesson and a 1-meeting lesson: the second takes the free half and a half of the next
 * meeting.
 */
export function layOut(
  plan: LayablePlan,
  meetings: readonly Ground[],
  { pacing = AS_PLANNED, terms = [] }: LayOutInput = {},
): Layout {
  return layCourse(courseOf(plan, meetings, pacing, { terms }), pacing)
}

/** Lays a prepared course. */
export function layCourse(course: Course, pacing: ClassPacing): Layout {
  const { track, items, limits } = course
  const findings: LayoutFinding[] = []
  const laid: Placement[] = []
  let cursor = course.from
  let lastEnd = cursor
  let blocked: { by: LessonId; until: Position } | null = null
  for (let i = 0; i < items.length; i++) {
    const item = items[i] as Item
    const limit = limits[i] as Limit
    const from = startOf(track, item, cursor, findings)
    if (blocked !== null && limit.at <= blocked.until) {
      laid.push(refused(track, item, from, { why: 'after-one-that-does-not-fit', lessonId: blocked.by }))
      continue
    }
    const slots: Slot[] = []
    const end = place(track, item, from, slots)
    if (end < 0 || end > limit.at) {
      blocked = { by: item.lesson.id, until: limit.at }
      laid.push(refused(track, item, from, whyNot(track, item, from, limit)))
      continue
    }
    blocked = null
    cursor = lastEnd = end
    laid.push({
      lessonId: item.lesson.id,
      placed: true,
      halves: item.unit === 'meetings' ? item.amount : sum(slots),
      slots,
    })
  }
  return {
    placements: withRecord(course, laid, pacing, findings),
    capacities: track.capacities,
    slackHalves: halvesBetween(track, lastEnd, track.end),
    findings,
  }
}

/**
 * Where an item starts from a cursor; says when a fixed date is missed, has no meeting, or a break makes it
 * wait.
 */
function startOf(track: Track, item: Item, cursor: Position, findings: LayoutFinding[]): Position {
  const { lesson, fixed, waits, unit } = item
  const from = Math.max(cursor, item.earliest)
  if (fixed?.kind === 'on') {
    const on = track.meetings[meetingOf(from)]?.on
    if (on !== undefined && on !== fixed.on)
      findings.push({
        code: item.startsAt < 0 ? 'fixed-date-missed' : 'no-meeting-on-fixed-date',
        lessonId: lesson.id,
        wantedOn: fixed.on,
        on,
      })
    return from
  }
  if (!waits) return from
  const start = startAt(track, from, unit, true)
  const wouldBe = beginsAt(track, from, unit, false)
  const on = track.meetings[meetingOf(wouldBe)]?.on
  if (meetingOf(start) !== meetingOf(wouldBe) && on !== undefined)
    findings.push({ code: 'waits-after-break', lessonId: lesson.id, on })
  return start
}

function whyNot(track: Track, item: Item, from: Position, limit: Limit): NotPlaced {
  const counts = { needHalves: inHalves(track, item, from), freeHalves: halvesBetween(track, from, limit.at) }
  if (limit.by !== null) return { why: 'before-fixed', lessonId: limit.by, ...counts }
  if (item.endsBecause === 'fixed') return { why: 'before-fixed', lessonId: item.lesson.id, ...counts }
  return { why: item.endsBecause === 'part' ? 'part-full' : 'year-full', ...counts }
}

function refused(track: Track, item: Item, from: Position, because: NotPlaced): Placement {
  return { lessonId: item.lesson.id, placed: false, halves: inHalves(track, item, from), because }
}

/** Placements of the whole sequence: what is laid, and in its place what is recorded or left out. */
function withRecord(
  { track, items, sequence, from }: Course,
  laid: readonly Placement[],
  pacing: ClassPacing,
  findings: LayoutFinding[],
): readonly Placement[] {
  if (from === 0 && items.length === sequence.length && Object.keys(pacing.records).length === 0) return laid
  let at = 0
  return sequence.map(({ id }) => {
    const next = laid[at]?.lessonId === id ? laid[at++] : undefined
    const record = pacing.records[id]
    // the past stays, whatever is decided of the rest: what is to come stands behind what was held
    if (record && record.held.length > 0) return recorded(track, id, record.held, next, findings)
    const why = pacing.left[id]
    return why === undefined
      ? (next as Placement)
      : { lessonId: id, placed: false, halves: 0, because: { why } }
  })
}

function recorded(
  track: Track,
  lessonId: LessonId,
  held: readonly HeldSlot[],
  next: Placement | undefined,
  findings: LayoutFinding[],
): Placement {
  const slots: Slot[] = []
  const gone: HeldSlot[] = []
  for (const slot of held) {
    const meeting = meetingHeld(track, slot)
    if (meeting >= 0) slots.push({ meeting, halves: slot.halves })
    else gone.push(slot)
    if (meeting < 0 || track.meetings[meeting]?.isOff)
      findings.push({ code: 'recorded-without-meeting', lessonId, on: slot.on })
  }
  if (next?.placed) slots.push(...next.slots)
  const halves = sum(slots) + sum(gone)
  return { lessonId, placed: true, halves, slots, ...(gone.length > 0 ? { gone } : {}) }
}

function sum(slots: readonly { readonly halves: number }[]): number {
  let halves = 0
  for (const s of slots) halves += s.halves
  return halves
}

/** First and last meeting index of every placed lesson; lessons that do not fit are absent. */
export function extentsOf(
  layout: Layout,
): ReadonlyMap<LessonId, { readonly first: number; readonly last: number }> {
  const extents = new Map<LessonId, { first: number; last: number }>()
  for (const p of layout.placements) {
    if (!p.placed) continue
    const first = p.slots[0]
    const last = p.slots[p.slots.length - 1]
    if (first && last) extents.set(p.lessonId, { first: first.meeting, last: last.meeting })
  }
  return extents
}

/** The dates on which each placed lesson starts and ends. */
export function datesOf(
  layout: Layout,
  meetings: readonly { readonly on: IsoDay }[],
): ReadonlyMap<LessonId, { readonly firstOn: IsoDay; readonly lastOn: IsoDay }> {
  const dates = new Map<LessonId, { firstOn: IsoDay; lastOn: IsoDay }>()
  for (const p of layout.placements) {
    if (!p.placed) continue
    const [from, to] = [p.slots[0], p.slots[p.slots.length - 1]].map((s) => s && meetings[s.meeting]?.on)
    if (p.gone) {
      const days = [...p.gone.map((g) => g.on), ...(from && to ? [from, to] : [])].sort()
      dates.set(p.lessonId, { firstOn: days[0] as IsoDay, lastOn: days[days.length - 1] as IsoDay })
    } else if (from && to) dates.set(p.lessonId, { firstOn: from, lastOn: to })
  }
  return dates
}
