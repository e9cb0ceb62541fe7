import type { IsoDay, LessonId } from '../../base'
import type { Term } from '../../calendar'
import { fixedOf, sequenceOf, typicalAmount } from '../plan'
import type { ClassPacing, FixedDate, Plan, PlanLesson, PlanPart } from '../plan'
import { firstNotBefore, firstOnOrAfter, meetingOf, place, positionAt, stepBack, trackOf } from '../track'
import type { Ground, Need, Position, Track } from '../track'

/** One lesson still to be laid, how much of it, and the places that bind it. */
export interface Item extends Need {
  readonly lesson: PlanLesson
  readonly fixed: FixedDate | null
  /** It starts no earlier than this. */
  readonly earliest: Position
  /** A fixed start: lessons before it end by then, and it jumps there. -1: none. */
  readonly startsAt: Position
  /** It ends by then; the end of the year, of its part, or of its last allowed day. */
  readonly endsBy: Position
  readonly endsBecause: 'year' | 'part' | 'fixed'
}

/**
 * The place by which an item must have ended so that later fixed lessons keep theirs, and the lesson that
 * sets it (null: the item's own end).
 */
export interface Limit {
  readonly at: Position
  readonly by: LessonId | null
}

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
  const sequence = sequenceOf(plan, pacing)
  const bounds = partBounds(track, plan.parts ?? [], terms)
  const partOf = bounds.size === 0 ? null : new Map((plan.units ?? []).map((u) => [u.id, u.partId]))
  const { records, left, lengths, fixed } = ownOf(pacing)
  const items: Item[] = []
  for (const lesson of sequence) {
    const { id } = lesson
    const record = records?.[id]
    if (record?.outcome === 'covered' || left?.[id] !== undefined) continue
    const part = partOf === null ? undefined : bounds.get(partOf.get(lesson.unitId) ?? '')
    if (record) items.push(itemOf(track, lesson, 'meetings', record.moreHalves, null, part))
    else
      items.push(
        itemOf(
          track,
          lesson,
          lesson.length.unit,
          lengths?.[id] ?? typicalAmount(lesson),
          fixed ? fixedOf(lesson, pacing) : lesson.fixed,
          part,
        ),
      )
  }
  return { track, from: recordedPosition(track, pacing), items, limits: limitsOf(track, items), sequence }
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

function itemOf(
  track: Track,
  lesson: PlanLesson,
  unit: Need['unit'],
  amount: number,
  fixed: FixedDate | null,
  part: Bounds | undefined,
): Item {
  // nearly every lesson: bound by nothing but the year
  if (fixed === null && part === undefined)
    return { lesson, unit, amount, fixed, earliest: 0, startsAt: -1, endsBy: track.end, endsBecause: 'year' }
  const startOn =
    fixed?.kind === 'on' || fixed?.kind === 'not-before'
      ? fixed.on
      : fixed?.kind === 'within'
        ? fixed.fromOn
        : null
  const endOn = fixed?.kind === 'not-after' ? fixed.on : fixed?.kind === 'within' ? fixed.throughOn : null
  const start = startOn === null ? 0 : positionAt(track, firstOnOrAfter(track, startOn))
  const partEnd = part?.to ?? track.end
  const dayEnd = endOn === null ? track.end : positionAt(track, firstAfter(track, endOn))
  return {
    lesson,
    unit,
    amount,
    fixed,
    earliest: Math.max(start, part?.from ?? 0),
    startsAt: fixed?.kind === 'on' ? start : -1,
    endsBy: Math.min(partEnd, dayEnd),
    endsBecause: dayEnd < partEnd ? 'fixed' : partEnd < track.end ? 'part' : 'year',
  }
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

/** Where the record ends; the start of the year without one. */
function recordedPosition(track: Track, { through }: Pick<ClassPacing, 'through'>): Position {
  if (through === null) return 0
  const m = firstNotBefore(track, through.on, through.startMinute)
  const meeting = track.meetings[m]
  const isThere = meeting?.on === through.on && meeting.startMinute === through.startMinute
  return positionAt(track, m, isThere ? through.halves : 0)
}

function limitsOf(track: Track, items: readonly Item[]): readonly Limit[] {
  const limits = new Array<Limit>(items.length)
  let next: Limit = { at: track.end, by: null }
  for (let i = items.length - 1; i >= 0; i--) {
    const item = items[i] as Item
    limits[i] = next.at <= item.endsBy ? next : { at: item.endsBy, by: null }
    const latest =
      item.startsAt >= 0 ? item.startsAt : item.endsBecause === 'fixed' ? latestStart(track, item) : null
    if (latest !== null && latest <= next.at) next = { at: latest, by: item.lesson.id }
  }
  return limits
}

/** The latest place from which an item still ends in time. */
function latestStart(track: Track, item: Item): Position {
  if (item.unit === 'meetings') return stepBack(track, item.endsBy, item.amount)
  let m = meetingOf(item.endsBy)
  while (m > 0) {
    const end = place(track, item, positionAt(track, m))
    if (end >= 0 && end <= item.endsBy) break
    m--
  }
  return positionAt(track, m)
}
