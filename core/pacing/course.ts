import type { IsoDay, LessonId } from '../base'
import type { Term } from '../calendar'
import { amountOf, fixedOf, sequenceOf } from './sequence'
import { firstOnOrAfter, meetingOf, place, positionAt, stepBack, trackOf } from './track'
import type { Ground, LayoutSettings, Need, Position, Track } from './track'
import type { ClassPacing, FixedDate, Plan, PlanLesson, PlanPart } from './types'

/** One lesson still to be laid, with the places that bind it. */
export interface Item {
  readonly lesson: PlanLesson
  readonly need: Need
  readonly fixed: FixedDate | null
  /** It starts no earlier than this. */
  readonly earliest: Position
  /** A fixed start: lessons before it end by then, and it jumps there. -1: none. */
  readonly startsAt: Position
  /** It ends by then; the end of the year, of its part, or of its last allowed day. */
  readonly endsBy: Position
  readonly endsBecause: 'year' | 'part' | 'fixed'
}

/** What is to be laid for one class: the items in order, from where its record ends. */
export interface Course { readonly track: Track, readonly from: Position, readonly items: readonly Item[], readonly sequence: readonly PlanLesson[] }

export interface Terms { readonly terms: readonly Term[], readonly settings?: LayoutSettings }

/** Prepares a class: its own order, lengths and fixed dates, without what is recorded as covered or left out. */
export function courseOf(plan: Pick<Plan, 'lessons'> & Partial<Pick<Plan, 'parts' | 'units'>>, meetings: readonly Ground[], pacing: ClassPacing, { terms, settings }: Terms): Course {
  const track = trackOf(meetings, settings)
  const sequence = sequenceOf(plan, pacing)
  const bounds = partBounds(track, plan.parts ?? [], terms)
  const partOf = bounds.size === 0 ? null : new Map((plan.units ?? []).map(u => [u.id, u.partId]))
  const items: Item[] = []
  for (const lesson of sequence) {
    const record = pacing.records[lesson.id]
    if (record?.outcome === 'covered' || pacing.left[lesson.id] !== undefined) continue
    const need: Need = record ? { unit: 'meetings', amount: record.moreHalves } : { unit: lesson.length.unit, amount: amountOf(lesson, pacing.lengths) }
    items.push(itemOf(track, lesson, need, record ? null : fixedOf(lesson, pacing), partOf === null ? undefined : bounds.get(partOf.get(lesson.unitId) ?? '')))
  }
  return { track, from: recordedPosition(track, pacing), items, sequence }
}

interface Bounds { readonly from: Position, readonly to: Position }

function itemOf(track: Track, lesson: PlanLesson, need: Need, fixed: FixedDate | null, part: Bounds | undefined): Item {
  // nearly every lesson: bound by nothing but the year
  if (fixed === null && part === undefined) return { lesson, need, fixed, earliest: 0, startsAt: -1, endsBy: track.end, endsBecause: 'year' }
  const startOn = fixed?.kind === 'on' || fixed?.kind === 'not-before' ? fixed.on : fixed?.kind === 'within' ? fixed.fromOn : null
  const endOn = fixed?.kind === 'not-after' ? fixed.on : fixed?.kind === 'within' ? fixed.throughOn : null
  const start = startOn === null ? 0 : positionAt(track, firstOnOrAfter(track, startOn))
  const partEnd = part?.to ?? track.end
  const dayEnd = endOn === null ? track.end : positionAt(track, firstAfter(track, endOn))
  return {
    lesson, need, fixed, earliest: Math.max(start, part?.from ?? 0), startsAt: fixed?.kind === 'on' ? start : -1, endsBy: Math.min(partEnd, dayEnd),
    endsBecause: dayEnd < partEnd ? 'fixed' : partEnd < track.end ? 'part' : 'year',
  }
}

function firstAfter(track: Track, on: IsoDay): number {
  let m = firstOnOrAfter(track, on)
  while (track.meetings[m]?.on === on) m++
  return m
}

/** Parts own the meetings of their term; the last part of a term that is not there owns nothing. */
function partBounds(track: Track, parts: readonly PlanPart[], terms: readonly Term[]): ReadonlyMap<string, Bounds> {
  return new Map(parts.map((part) => {
    const term = terms[part.term - 1]
    const bounds = term ? { from: positionAt(track, firstOnOrAfter(track, term.firstOn)), to: positionAt(track, firstAfter(track, term.lastOn)) } : { from: track.end, to: track.end }
    return [part.id, bounds] as const
  }))
}

/** Where the record ends; the start of the year without one. */
function recordedPosition(track: Track, { through }: Pick<ClassPacing, 'through'>): Position {
  if (through === null) return 0
  const m = firstOnOrAfter(track, through.on)
  for (let i = m; track.meetings[i]?.on === through.on; i++) {
    const start = track.meetings[i]?.startMinute ?? 0
    if (start === through.startMinute) return positionAt(track, i, through.halves)
    if (start > through.startMinute) return positionAt(track, i)
  }
  return positionAt(track, firstAfter(track, through.on))
}

/** For each item the place by which it must have ended so that later fixed lessons keep theirs, and the lesson that sets it. */
export function limitsOf({ track, items }: Course): readonly { readonly at: Position, readonly by: LessonId | null }[] {
  const limits = new Array<{ at: Position, by: LessonId | null }>(items.length)
  let next: { at: Position, by: LessonId | null } = { at: track.end, by: null }
  for (let i = items.length - 1; i >= 0; i--) {
    const item = items[i] as Item
    limits[i] = next.at <= item.endsBy ? next : { at: item.endsBy, by: null }
    const latest = item.startsAt >= 0 ? item.startsAt : item.endsBecause === 'fixed' ? latestStart(track, item) : null
    if (latest !== null && latest <= next.at) next = { at: latest, by: item.lesson.id }
  }
  return limits
}

/** The latest place from which an item still ends in time. */
function latestStart(track: Track, item: Item): Position {
  if (item.need.unit === 'meetings') return stepBack(track, item.endsBy, item.need.amount)
  let m = meetingOf(item.endsBy)
  while (m > 0 && (place(track, item.need, positionAt(track, m)) > item.endsBy || place(track, item.need, positionAt(track, m)) < 0)) m--
  return positionAt(track, m)
}
