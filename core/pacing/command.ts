import { assertNever, ok, refuse } from '../base'
import type { Result } from '../base'
import type { MeetingChange } from '../calendar'
import type { PacingRefusal } from './refusals'
import type { ClassPacing, PacingCommand, Plan } from './types'

const MOST_HALVES = 40

/** The command that takes a command back. Applying both leaves the pacing as it was, value for value. */
export function inverseOf(command: PacingCommand): PacingCommand {
  switch (command.kind) {
    case 'length': return { ...command, from: command.to, to: command.from }
    case 'meeting': return { ...command, from: command.to, to: command.from }
    default: return assertNever(command)
  }
}

/**
 * Applies one planning act to a class's pacing.
 * Refused when what the teacher saw (`from`) is no longer so, naming both values; when the lesson or meeting is unknown; or when the length is not 1–40 half meetings.
 * @param known the class's plan, and whether its pattern has a meeting at a date and start.
 */
export function applyCommand(pacing: ClassPacing, command: PacingCommand, known: { readonly plan: Plan, readonly hasMeeting: (on: string, startMinute: number) => boolean }): Result<ClassPacing, PacingRefusal> {
  switch (command.kind) {
    case 'length': return applyLength(pacing, command, known.plan)
    case 'meeting': return applyMeeting(pacing, command, known.hasMeeting)
    default: return assertNever(command)
  }
}

function applyLength(pacing: ClassPacing, command: Extract<PacingCommand, { kind: 'length' }>, plan: Plan): Result<ClassPacing, PacingRefusal> {
  const { lessonId, from, to } = command
  if (!plan.lessons.some(l => l.id === lessonId)) return refuse({ code: 'pacing/unknown-lesson', field: 'lessonId', lessonId })
  const now = pacing.lengths[lessonId] ?? null
  if (now !== from) return refuse({ code: 'pacing/changed-meanwhile', field: 'from', seen: halvesInWords(from), now: halvesInWords(now) })
  if (to !== null && (!Number.isInteger(to) || to < 1 || to > MOST_HALVES)) return refuse({ code: 'pacing/length-out-of-range', field: 'to', halves: to, most: MOST_HALVES })
  const lengths: Record<string, number> = {}
  // rebuilt in key order so that undo restores the same bytes whatever came between
  for (const key of [...new Set([...Object.keys(pacing.lengths), lessonId])].sort()) {
    const value = key === lessonId ? to : (pacing.lengths as Record<string, number>)[key]
    if (value !== null && value !== undefined) lengths[key] = value
  }
  return ok({ ...pacing, lengths })
}

function applyMeeting(pacing: ClassPacing, command: Extract<PacingCommand, { kind: 'meeting' }>, hasMeeting: (on: string, startMinute: number) => boolean): Result<ClassPacing, PacingRefusal> {
  const { on, startMinute, from, to } = command
  const now = pacing.changes.find(c => c.on === on && c.startMinute === startMinute) ?? null
  if (!sameChange(now, from)) return refuse({ code: 'pacing/changed-meanwhile', field: 'from', seen: changeInWords(from), now: changeInWords(now) })
  if (to !== null && to.kind !== 'add' && !hasMeeting(on, startMinute)) return refuse({ code: 'pacing/no-such-meeting', field: 'on', on, startMinute })
  const rest = pacing.changes.filter(c => c !== now)
  const changes = to === null ? rest : [...rest, to]
  changes.sort((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : a.startMinute - b.startMinute))
  return ok({ ...pacing, changes })
}

function sameChange(a: MeetingChange | null, b: MeetingChange | null): boolean {
  if (a === null || b === null) return a === b
  return a.kind === b.kind && a.on === b.on && a.startMinute === b.startMinute && a.why === b.why
    && (a.kind === 'cancel' ? null : a.minutes) === (b.kind === 'cancel' ? null : b.minutes)
}

function halvesInWords(halves: number | null): string {
  return halves === null ? 'as in the plan' : `${halves / 2} meetings`
}

function changeInWords(change: MeetingChange | null): string {
  return change === null ? 'as in the timetable' : change.kind === 'cancel' ? `lost (${change.why})` : `${change.minutes} minutes`
}
