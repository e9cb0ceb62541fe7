import { ok, refuse } from '../../base'
import type { ClassId, Instant, LessonId, Result } from '../../base'
import type { Meeting } from '../../calendar'
import type { PacingCommand, Purpose, SingleCommand } from '../command'
import type { Layout, Placement } from '../layout'
import type { Slot } from '../track'
import type { ClassPacing, HeldSlot, LessonRecord, PlanLesson } from '../plan'
import type { PacingRefusal } from '../refusals'

/** A class as it stands, with its layout: what recording needs. */
export interface Standing {
  readonly classId: ClassId
  readonly sequence: readonly PlanLesson[]
  readonly pacing: ClassPacing
  readonly layout: Layout
  readonly meetings: readonly Meeting[]
}

/**
 * What is recorded of a lesson: finished as laid out; finished after so many halves; or carried over with so
 * many halves still to come.
 */
export type Happened =
  | { readonly as: 'covered' }
  | { readonly as: 'took'; readonly halves: number }
  | { readonly as: 'carried-over'; readonly moreHalves: number }

/**
 * Records what happened to a lesson; every lesson before it that is not yet recorded counts as covered where it
 * lay. "Covered" before its last meeting ends it with the last meeting that has begun; "took" counts from its
 * first meeting on, over as many meetings as were held; "carried over" keeps what was held and puts the rest
 * behind it. Refused when the lesson has not begun by `now`, took meetings that have not begun, is recorded as
 * covered already (take that record back first), or is not laid out.
 */
export function recordLesson(
  standing: Standing,
  lessonId: LessonId,
  happened: Happened,
  now: Instant,
): Result<PacingCommand, PacingRefusal> {
  const { layout, meetings, pacing, sequence, classId } = standing
  const lesson = sequence.find((l) => l.id === lessonId)
  const placement = layout.placements.find((p) => p.lessonId === lessonId)
  const name = lesson?.number || lesson?.title || ''
  if (!lesson || !placement) return refuse({ code: 'pacing/unknown-lesson', field: 'lessonId', lessonId })
  if (!placement.placed) return refuse({ code: 'pacing/not-laid-out', field: 'lessonId', lesson: name })
  if (pacing.records[lessonId]?.outcome === 'covered')
    return refuse({ code: 'pacing/already-recorded', field: 'lessonId', lesson: name })
  const begun = (s: Slot) => (meetings[s.meeting]?.startsAt ?? Infinity) <= now
  const slots =
    happened.as === 'took'
      ? runFrom(placement.slots[0] as Slot, happened.halves, standing)
      : placement.slots.filter(begun)
  if (slots.length === 0 || !slots.every(begun))
    return refuse({ code: 'pacing/not-yet-held', field: 'lessonId', lesson: name })
  const commands = [...coveredBefore(standing, lessonId)]
  const next: LessonRecord =
    happened.as === 'carried-over'
      ? {
          outcome: 'under-way',
          held: heldOf(slots, meetings),
          moreHalves: Math.max(1, happened.moreHalves),
          lesson: nameOf(lesson),
        }
      : { outcome: 'covered', held: heldOf(slots, meetings), moreHalves: 0, lesson: nameOf(lesson) }
  commands.push(recordCommand(classId, placement, pacing, next))
  const last = slots[slots.length - 1] as Slot
  commands.push({
    kind: 'class',
    classId,
    part: 'through',
    from: pacing.through,
    to: { ...(heldOf([last], meetings)[0] as HeldSlot), halves: usedThrough(layout, lessonId, slots) },
  })
  const purpose: Purpose = { code: happened.as, lessonId }
  return ok({ kind: 'together', purpose, commands })
}

/** Every lesson before one that is not recorded yet counts as covered where it lay. */
function coveredBefore(
  { layout, meetings, pacing, classId, sequence }: Standing,
  lessonId: LessonId,
): SingleCommand[] {
  const lessons = new Map(sequence.map((l) => [l.id, l]))
  const at = layout.placements.findIndex((p) => p.lessonId === lessonId)
  return layout.placements.slice(0, at).flatMap((before) =>
    before.placed && pacing.records[before.lessonId]?.outcome !== 'covered'
      ? [
          recordCommand(classId, before, pacing, {
            outcome: 'covered',
            held: heldOf(before.slots, meetings),
            moreHalves: 0,
            ...(lessons.has(before.lessonId)
              ? { lesson: nameOf(lessons.get(before.lessonId) as PlanLesson) }
              : {}),
          }),
        ]
      : [],
  )
}

function nameOf({ number, title }: PlanLesson) {
  return { number, title }
}

function recordCommand(
  classId: ClassId,
  { lessonId }: Placement,
  pacing: ClassPacing,
  to: LessonRecord,
): SingleCommand {
  return { kind: 'lesson', classId, lessonId, part: 'records', from: pacing.records[lessonId] ?? null, to }
}

/** So many halves in a row from where a lesson began. */
function runFrom(first: Slot, halves: number, { layout }: Standing): Slot[] {
  const slots: Slot[] = []
  let left = halves
  for (let meeting = first.meeting; left > 0 && meeting < layout.capacities.length; meeting++) {
    const capacity = layout.capacities[meeting] as number
    const room = meeting === first.meeting ? capacity - startHalf(layout, first) : capacity
    const here = Math.min(left, room)
    if (here > 0) slots.push({ meeting, halves: here })
    left -= here
  }
  return left > 0 ? [] : slots
}

/** Halves of a meeting that earlier lessons take before a slot. */
function startHalf(layout: Layout, slot: Slot): number {
  let used = 0
  for (const p of layout.placements) {
    if (!p.placed) continue
    if (p.slots.includes(slot)) break
    used += halvesIn(slot.meeting, p.slots)
  }
  return used
}

/** Halves used of the meeting in which a lesson ends: its own, all of them, and those of the lessons before it. */
function usedThrough(layout: Layout, lessonId: LessonId, own: readonly Slot[]): number {
  const { meeting } = own[own.length - 1] as Slot
  let used = halvesIn(meeting, own)
  for (const p of layout.placements) {
    if (p.lessonId === lessonId) break
    if (p.placed) used += halvesIn(meeting, p.slots)
  }
  return Math.min(layout.capacities[meeting] as number, used)
}

/** Halves that slots take of one meeting; what was carried over may have several there. */
function halvesIn(meeting: number, slots: readonly Slot[]): number {
  return slots.reduce((halves, s) => halves + (s.meeting === meeting ? s.halves : 0), 0)
}

/** What was held, meeting by meeting. */
function heldOf(slots: readonly Slot[], meetings: readonly Meeting[]): HeldSlot[] {
  const held = [...new Set(slots.map((s) => s.meeting))]
  return held.flatMap((meeting) => {
    const m = meetings[meeting]
    return m ? [{ on: m.on, startMinute: m.startMinute, halves: halvesIn(meeting, slots) }] : []
  })
}
