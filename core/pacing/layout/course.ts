import type { IsoDay } from '../../base'
import type { Term } from '../../calendar'
import { fixedOf, sequenceOf, typicalAmount } from '../plan'
import type { ClassPacing, FixedDate, HeldSlot, Plan, PlanLesson, PlanPart } from '../plan'
import { firstNotBefore, firstOnOrAfter, meetingHeld, meetingOf, positionAt, trackOf } from '../track'
import type { Ground, Need, Position, Track } from '../track'
import type { Item } from './item'
import { limitsOf } from './limits'
import type { Limit } from './limits'

/** What is to be laid for one class: the items in order, from where its record ends, and a limit for each. */
export interface Course {
  readonly track: Track
  readonly from: Position
  readonly items: readonly Item[]
  readonly limits: readonly Limit[]
  readonly sequence: readonly PlanLesson[]
}

export interface Terms {
  readonly terms: readonly Term[]
}

/**
 * Prepares a class: its own order, lengths and fixed dates, without what is recorded as covered or left out.
 */
export function courseOf(
  plan: Pick<Plan, 'lessons'> & Partial<Pick<Plan, 'parts' | 'units'>>,
  meetings: readonly Ground[],
  pacing: ClassPacing,
  { terms }: Terms,
): Course {
  const track = trackOf(meetings)
  const from = recordedPosition(track, pacing)
  const sequence = sequenceOf(plan, pacing)
  const bounds = partBounds(track, plan.parts ?? [], terms)
  const partOf = bounds.size === 0 ? null : new Map((plan.units ?? []).map((u) => [u.id, u.partId]))
  const { records, left, lengths, fixed } = ownOf(pacing)
  const items: Item[] = []
  let fixedAt: Position = -1
  for (const lesson of sequence) {
    const { id } = lesson
    const record = records?.[id]
    if (record?.outcome === 'covered' || left?.[id] !== undefined) continue
    const part = partOf === null ? undefined : bounds.get(partOf.get(lesson.unitId) ?? '')
    const length: Need = record
      ? { unit: 'meetings', amount: record.moreHalves }
      : { unit: lesson.length.unit, amount: lengths?.[id] ?? typicalAmount(lesson) }
    const fixedOn = record ? null : fixed ? fixedOf(lesson, pacing) : lesson.fixed
    // nearly every lesson: bound by nothing but the year
    const isFree = fixedOn === null && part === undefined
    const laid = isFree
      ? freeItem(track, lesson, length)
      : boundItem(track, lesson, length, { from, fixedAt, fixed: fixedOn, part })
    const item = record ? { ...laid, isUnderWay: true } : laid
    if (item.startsAt >= 0) fixedAt = item.startsAt
    items.push(item)
  }
  return { track, from, items, limits: limitsOf(track, items, from), sequence }
}

/**
 * A class's own values, null where it has none: looking up every lesson in nothing would be a third of laying
 * out.
 */
function ownOf({ records, left, lengths, fixed }: ClassPacing) {
  return {
    records: unlessEmpty(records),
    left: unlessEmpty(left),
    lengths: unlessEmpty(lengths),
    fixed: unlessEmpty(fixed),
  }
}

function unlessEmpty<T extends object>(record: T): T | null {
  for (const _ in record) return record
  return null
}

interface Bounds {
  readonly from: Position
  readonly to: Position
}

function freeItem(track: Track, lesson: PlanLesson, { unit, amount }: Need): Item {
  return {
    lesson,
    unit,
    amount,
    fixed: null,
    earliest: 0,
    startsAt: -1,
    startsBy: -1,
    endsBy: track.end,
    endsBecause: 'year',
    hasLastDay: false,
    isUnderWay: false,
    waits: lesson.notAfterBreak,
  }
}

/** What binds a lesson beside the year. */
interface Binding {
  /** Where what is recorded ends. */
  readonly from: Position
  /** The fixed start of a lesson before it, -1 without one. */
  readonly fixedAt: Position
  readonly fixed: FixedDate | null
  readonly part: Bounds | undefined
}

function boundItem(
  track: Track,
  lesson: PlanLesson,
  { unit, amount }: Need,
  { from, fixedAt, fixed, part }: Binding,
): Item {
  const [startOn, endOn] = daysOf(fixed)
  const start = startOn === null ? 0 : positionAt(track, firstOnOrAfter(track, startOn))
  const partEnd = part?.to ?? track.end
  const dayEnd = endOn === null ? track.end : positionAt(track, firstAfter(track, endOn))
  const isOn = fixed?.kind === 'on'
  const startsBy = isOn && start === fixedAt ? lastStartIn(track, start, unit, amount) : start
  const keeps = isOn && startsBy >= from
  return {
    lesson,
    unit,
    amount,
    fixed,
    earliest: Math.max(start, part?.from ?? 0),
    startsAt: keeps ? start : -1,
    startsBy: keeps ? startsBy : -1,
    endsBy: Math.min(partEnd, dayEnd),
    endsBecause: endOn !== null && dayEnd <= partEnd ? 'fixed' : partEnd < track.end ? 'part' : 'year',
    hasLastDay: endOn !== null,
    isUnderWay: false,
    waits: lesson.notAfterBreak && !isOn,
  }
}

/** The first and the last day of a fixed date, null where it has none. */
function daysOf(fixed: FixedDate | null): readonly [IsoDay | null, IsoDay | null] {
  switch (fixed?.kind) {
    case undefined:
      return [null, null]
    case 'on':
    case 'not-before':
      return [fixed.on, null]
    case 'not-after':
      return [null, fixed.on]
    case 'within':
      return [fixed.fromOn, fixed.throughOn]
  }
}

/** The least part of a lesson counted in minutes that may begin at the end of a meeting, in half minutes. */
const LEAST_BEGUN = 10

/** The last place of a meeting at which a lesson may begin in it. */
function lastStartIn(track: Track, start: Position, unit: Need['unit'], amount: number): Position {
  const m = meetingOf(start)
  const size = track.sizes[m] ?? 0
  const least = unit === 'minutes' ? Math.min(amount * 2, LEAST_BEGUN) : (track.halves[m] ?? 0)
  return start + Math.max(0, size - least)
}

function firstAfter(track: Track, on: IsoDay): number {
  let m = firstOnOrAfter(track, on)
  while (track.meetings[m]?.on === on) m++
  return m
}

/** Parts own the meetings of their term; the last part of a term that is not there owns nothing. */
function partBounds(
  track: Track,
  parts: readonly PlanPart[],
  terms: readonly Term[],
): ReadonlyMap<string, Bounds> {
  return new Map(
    parts.map((part) => {
      const term = terms[part.term - 1]
      const bounds = term
        ? {
            from: positionAt(track, firstOnOrAfter(track, term.firstOn)),
            to: positionAt(track, firstAfter(track, term.lastOn)),
          }
        : { from: track.end, to: track.end }
      return [part.id, bounds] as const
    }),
  )
}

/** Where the record ends, or where the plan begins in the class; the start of the year without either. */
function recordedPosition(
  track: Track,
  { through, begins }: Pick<ClassPacing, 'through' | 'begins'>,
): Position {
  return Math.max(positionBehind(track, through), positionBehind(track, begins))
}

function positionBehind(track: Track, through: HeldSlot | null): Position {
  if (through === null) return 0
  const m = meetingHeld(track, through)
  if (m < 0) return positionAt(track, firstNotBefore(track, through.on, through.startMinute))
  // what is left of a meeting that is none any more can hold nothing
  return track.meetings[m]?.isOff ? positionAt(track, m + 1) : positionAt(track, m, through.halves)
}
