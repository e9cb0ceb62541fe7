import { ok, refuse } from '../../base'
import type { LessonId, Result } from '../../base'
import type { PacingCommand, SingleCommand } from '../command'
import type { HeldSlot, LessonRecord, Through } from '../plan'
import type { PacingRefusal } from '../refusals'
import type { Standing } from './record'

/**
 * Takes the record of a lesson back, and of every lesson recorded behind it: the record then goes through what
 * was held before. Refused when nothing is recorded of the lesson.
 */
export function takeBack(
  { classId, pacing, sequence }: Standing,
  lessonId: LessonId,
): Result<PacingCommand, PacingRefusal> {
  const taken = takenBackWith({ pacing, sequence }, lessonId)
  if (taken.length === 0) {
    const lesson = sequence.find((l) => l.id === lessonId)
    return refuse({
      code: 'pacing/not-recorded',
      field: 'lessonId',
      lesson: lesson?.number || lesson?.title || '',
    })
  }
  const isTaken = new Set(taken)
  const kept = recordsOf(pacing.records).filter(([id]) => !isTaken.has(id))
  const commands: SingleCommand[] = taken.map((id) => ({
    kind: 'lesson',
    classId,
    lessonId: id,
    part: 'records',
    from: pacing.records[id] ?? null,
    to: null,
  }))
  const to = throughOf(kept.flatMap(([, { held }]) => held))
  commands.push({ kind: 'class', classId, part: 'through', from: pacing.through, to })
  return ok({ kind: 'together', purpose: { code: 'taken-back', lessonId }, commands })
}

/** The lessons whose record goes with a lesson's: it and those recorded behind it, in order; none without one. */
export function takenBackWith(
  { pacing: { records }, sequence }: Pick<Standing, 'pacing' | 'sequence'>,
  lessonId: LessonId,
): readonly LessonId[] {
  const first = records[lessonId]?.held[0]
  if (!first) return []
  const at = sequence.findIndex((l) => l.id === lessonId)
  return sequence.flatMap(({ id }, i) => {
    const held = records[id]?.held[0]
    const isBehind = held !== undefined && (isBefore(first, held) || (!isBefore(held, first) && i >= at))
    return isBehind ? [id] : []
  })
}

function recordsOf(records: Readonly<Record<LessonId, LessonRecord>>): readonly [LessonId, LessonRecord][] {
  return Object.entries(records) as [LessonId, LessonRecord][]
}

/** How far what was held goes: through its last meeting, with all that was held there. */
function throughOf(held: readonly HeldSlot[]): Through | null {
  let last: HeldSlot | null = null
  for (const slot of held) if (last === null || isBefore(last, slot)) last = slot
  if (last === null) return null
  const { on, startMinute } = last
  const there = held.filter((h) => h.on === on && h.startMinute === startMinute)
  return { on, startMinute, halves: there.reduce((n, h) => n + h.halves, 0) }
}

function isBefore(a: HeldSlot, b: HeldSlot): boolean {
  return a.on === b.on ? a.startMinute < b.startMinute : a.on < b.on
}
