import { assertNever, ok, refuse, same } from '../../base'
import type { LessonId, Result } from '../../base'
import { isLessonAmount, sequenceOf } from '../plan'
import type { ClassPacing, Plan, PlanLesson } from '../plan'
import type { PacingRefusal } from '../refusals'
import type { ClassCommand, PacingCommand, SingleCommand } from './types'

/** The command that takes a command back. Applying both leaves everything as it was, value for value. */
export function inverseOf(command: PacingCommand): PacingCommand {
  return command.kind === 'together'
    ? { ...command, commands: command.commands.map(inverseOfOne).reverse() }
    : inverseOfOne(command)
}

function inverseOfOne(command: SingleCommand): SingleCommand {
  if (command.kind !== 'plan') return { ...command, from: command.to, to: command.from } as SingleCommand
  const turned = <T>(change: { readonly from: T; readonly to: T } | null) =>
    change === null ? null : { from: change.to, to: change.from }
  return {
    ...command,
    lessons: command.lessons.map((l) => ({ ...l, from: l.to, to: l.from })),
    order: turned(command.order),
    units: turned(command.units),
    parts: turned(command.parts),
  }
}

/** The single commands of an act, in order. */
export function singlesOf(command: PacingCommand): readonly SingleCommand[] {
  return command.kind === 'together' ? command.commands : [command]
}

export interface Known {
  readonly plan: Pick<Plan, 'lessons'>
  readonly hasMeeting: (on: string, startMinute: number) => boolean
}

/**
 * Applies one planning act to a class's pacing. Refused when what the teacher saw (`from`) is no longer so, naming
 * both values; when the lesson or meeting is unknown; or when the length is out of range.
 * @param known the class's plan, and whether its pattern has a meeting at a date and start.
 */
export function applyToClass(
  pacing: ClassPacing,
  command: ClassCommand,
  known: Known,
): Result<ClassPacing, PacingRefusal> {
  switch (command.kind) {
    case 'length':
      return applyLength(pacing, command, known.plan)
    case 'meeting':
      return applyMeeting(pacing, command, known.hasMeeting)
    case 'lesson':
      return applyLesson(pacing, command, known.plan)
    case 'class':
      return applyClass(pacing, command)
    default:
      return assertNever(command)
  }
}

function applyLength(
  pacing: ClassPacing,
  command: Extract<ClassCommand, { kind: 'length' }>,
  plan: Known['plan'],
): Result<ClassPacing, PacingRefusal> {
  const { lessonId, from, to } = command
  const lesson = lessonIn(plan, pacing, lessonId)
  if (!lesson) return refuse({ code: 'pacing/unknown-lesson', field: 'lessonId', lessonId })
  const now = pacing.lengths[lessonId] ?? null
  if (now !== from)
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'length', unit: lesson.length.unit, amount: from },
      now: { of: 'length', unit: lesson.length.unit, amount: now },
    })
  if (to !== null && !isLessonAmount(lesson, to))
    return refuse({ code: 'pacing/length-out-of-range', field: 'to', unit: lesson.length.unit })
  return ok({ ...pacing, lengths: withKey(pacing.lengths, lessonId, to) })
}

function lessonIn(plan: Known['plan'], pacing: ClassPacing, lessonId: LessonId): PlanLesson | null {
  const own = plan.lessons.find((l) => l.id === lessonId) ?? pacing.added[lessonId]
  // what was held may be spoken of when it is no longer in the plan
  return (
    own ??
    (pacing.records[lessonId] ? (sequenceOf(plan, pacing).find((l) => l.id === lessonId) ?? null) : null)
  )
}

/**
 * A record with one key set or taken out; rebuilt in key order so that undo restores the same bytes whatever
 * came between.
 */
function withKey<T>(
  record: Readonly<Record<LessonId, T>>,
  key: LessonId,
  value: T | null,
): Record<LessonId, T> {
  const { [key]: before, ...rest } = record
  if (value === null) return rest as Record<LessonId, T>
  if (before !== undefined) return { ...record, [key]: value }
  const keys = [...Object.keys(record), key].sort()
  return Object.fromEntries(keys.map((id) => [id, id === key ? value : record[id as LessonId]])) as Record<
    LessonId,
    T
  >
}

function applyLesson(
  pacing: ClassPacing,
  command: Extract<ClassCommand, { kind: 'lesson' }>,
  plan: Known['plan'],
): Result<ClassPacing, PacingRefusal> {
  const { lessonId, part, from, to } = command
  const adds = part === 'added' && to !== null
  if (!adds && !lessonIn(plan, pacing, lessonId))
    return refuse({ code: 'pacing/unknown-lesson', field: 'lessonId', lessonId })
  const now = (pacing[part] as Readonly<Record<LessonId, unknown>>)[lessonId] ?? null
  if (!same(now, from))
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'class-part', value: from },
      now: { of: 'class-part', value: now },
    })
  return ok({ ...pacing, [part]: withKey(pacing[part] as Readonly<Record<LessonId, unknown>>, lessonId, to) })
}

function applyClass(
  pacing: ClassPacing,
  command: Extract<ClassCommand, { kind: 'class' }>,
): Result<ClassPacing, PacingRefusal> {
  const { part, from, to } = command
  if (!same(pacing[part], from))
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: part === 'order' ? { of: 'order' } : { of: 'class-part', value: from },
      now: part === 'order' ? { of: 'order' } : { of: 'class-part', value: pacing[part] },
    })
  return ok({ ...pacing, [part]: to })
}

function applyMeeting(
  pacing: ClassPacing,
  command: Extract<ClassCommand, { kind: 'meeting' }>,
  hasMeeting: Known['hasMeeting'],
): Result<ClassPacing, PacingRefusal> {
  const { on, startMinute, from, to } = command
  const now = pacing.changes.find((c) => c.on === on && c.startMinute === startMinute) ?? null
  if (!same(now, from))
    return refuse({
      code: 'pacing/changed-meanwhile',
      field: 'from',
      seen: { of: 'meeting', change: from },
      now: { of: 'meeting', change: now },
    })
  if (to !== null && to.kind !== 'add' && !hasMeeting(on, startMinute))
    return refuse({ code: 'pacing/no-such-meeting', field: 'on', on, startMinute })
  const rest = pacing.changes.filter((c) => c !== now)
  const changes = to === null ? rest : [...rest, to]
  changes.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.startMinute - b.startMinute))
  return ok({ ...pacing, changes })
}
