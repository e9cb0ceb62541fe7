import { ok, refuse, same } from '../base'
import type { AssignmentId, Instant, Result } from '../base'
import { faultInExchange } from './pieces'
import type { WorkRefusal } from './refusals'
import type { Assignment, Begun, Draft } from './types'

export const WORK_ACTS = ['made', 'changed', 'published', 'withdrawn', 'given-more', 'excused'] as const
/** What a teacher did to an assignment, for saying it. */
export type WorkAct = (typeof WORK_ACTS)[number]

/** All of an assignment that acts change. */
export type WorkSetting = Draft & Pick<Assignment, 'state' | 'notFor'>

/** An act on an assignment: what it was and what it became. `from` null: it was made by this act. */
export interface WorkCommand {
  readonly kind: 'work'
  readonly what: WorkAct
  readonly assignmentId: AssignmentId
  readonly from: WorkSetting | null
  readonly to: WorkSetting | null
}

/** An act on an assignment as it is said, without all that it was and became. */
export interface WorkStep extends Pick<WorkCommand, 'kind' | 'what' | 'assignmentId'> {
  readonly title: string
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asStep({ kind, what, assignmentId, from, to }: WorkCommand): WorkStep {
  return { kind, what, assignmentId, title: (to ?? from)?.title ?? '' }
}

/** What a teacher has set for an assignment. */
export function draftOf(assignment: Assignment): Draft {
  const { pieces, title, note, about, isFirst, inTurn, window, rules, targets, exceptIds } = assignment
  return { pieces, title, note, about, isFirst, inTurn, window, rules, targets, exceptIds }
}

/** The part of an assignment that acts change. */
export function settingOf(assignment: Assignment): WorkSetting {
  const { state, notFor } = assignment
  return { ...draftOf(assignment), state, notFor }
}

/** The act that takes an act back. */
export function takenBack(command: WorkCommand): WorkCommand {
  return { ...command, from: command.to, to: command.from }
}

/**
 * The assignment after an act is taken back or done again; one that was not there before is withdrawn. Refused when
 * it was changed since, and when it would take work that learners have begun.
 */
export function stepped(
  assignment: Assignment,
  command: WorkCommand,
  begun: Begun,
  now: Instant,
): Result<Assignment, WorkRefusal> {
  const stands = settingOf(assignment)
  const isAsSeen = command.from === null ? stands.state === 'withdrawn' : same(stands, command.from)
  if (!isAsSeen) return refuse({ code: 'work/changed-since', field: 'state', title: stands.title })
  const to: WorkSetting = command.to ?? { ...stands, state: 'withdrawn' }
  const takesAway = stands.state === 'published' && (to.state !== 'published' || takesClass(stands, to))
  if (takesAway && begun.learners > 0)
    return refuse({ code: 'work/has-begun', field: 'state', learners: begun.learners })
  const fault = faultInExchange(stands.pieces, to.pieces, begun.pieces)
  if (fault) return refuse(fault)
  const publishedAt = to.state === 'published' ? (assignment.publishedAt ?? now) : assignment.publishedAt
  return ok({ ...assignment, ...to, publishedAt })
}

/** Whether a class that has it would have it no longer. */
function takesClass(stands: WorkSetting, to: WorkSetting): boolean {
  return to.notFor.some((id) => !stands.notFor.includes(id))
}
