import { ok, refuse, same } from '../base'
import type { AssignmentId, Instant, Result } from '../base'
import { faultInExchange } from './pieces'
import { namedClasses } from './classWindows'
import type { WorkRefusal } from './refusals'
import type { Assignment, Begun, Draft } from './types'

export const WORK_ACTS = [
  'made',
  'changed',
  'published',
  'withdrawn',
  'given-more',
  'excused',
  'shifted',
  'regraded',
] as const
/** What a teacher did to an assignment, for saying it. */
export type WorkAct = (typeof WORK_ACTS)[number]

/** All of an assignment that acts change. */
export type WorkSetting = Draft & Pick<Assignment, 'state' | 'notFor' | 'ruled'>

/** An act on an assignment: what it was and what it became. `from` null: it was made by this act. */
export interface WorkCommand {
  readonly kind: 'work'
  readonly what: WorkAct
  readonly assignmentId: AssignmentId
  readonly from: WorkSetting | null
  readonly to: WorkSetting | null
}

/** The same act on several assignments, as one step. */
export interface WorksCommand {
  readonly kind: 'works'
  readonly what: WorkAct
  readonly steps: readonly WorkCommand[]
}

/** As many assignments as one act may change. */
export const MOST_AT_ONCE = 60

/** As many as one step of undo may hold: a plan's standing work for several classes. */
export const MOST_IN_STEP = 2000

/** An act on assignments as it is said, without all that they were and became; `others` besides the first. */
export interface WorkStep extends Pick<WorkCommand, 'kind' | 'what' | 'assignmentId'> {
  readonly title: string
  readonly others: number
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asStep(command: WorkCommand | WorksCommand): WorkStep {
  const [first, ...others] = stepsIn(command)
  if (!first) throw new Error('an act on no assignment')
  const { assignmentId, from, to } = first
  const title = (to ?? from)?.title ?? ''
  return { kind: 'work', what: command.what, assignmentId, title, others: others.length }
}

/** The assignments that an act changed, one by one. */
export function stepsIn(command: WorkCommand | WorksCommand): readonly WorkCommand[] {
  return command.kind === 'works' ? command.steps : [command]
}

/** What a teacher has set for an assignment. */
export function draftOf(assignment: Assignment): Draft {
  const { pieces, title, note, about, isFirst, inTurn, window, rules } = assignment
  const { targets, exceptIds, newcomers, teams, overCeiling } = assignment
  const what = { pieces, title, note, about, isFirst, inTurn, window, rules }
  const who = { targets, exceptIds, newcomers, teams }
  return { ...what, ...who, overCeiling }
}

/** The part of an assignment that acts change. */
export function settingOf(assignment: Assignment): WorkSetting {
  const { state, notFor, ruled } = assignment
  return { ...draftOf(assignment), state, notFor, ruled }
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

/** An assignment before an act and after it; null: it was not there. */
export interface WorkBeforeAndAfter {
  readonly before: Assignment | null
  readonly after: Assignment
}

/** What was done to one assignment, as a step that can be taken back. */
export function commandOf(what: WorkCommand['what'], { before, after }: WorkBeforeAndAfter): WorkCommand {
  const from = before === null ? null : settingOf(before)
  return { kind: 'work', what, assignmentId: after.id, from, to: settingOf(after) }
}

/** Everything an act on work touches, for the history: the work and its classes. */
export function idsTouched(done: readonly WorkBeforeAndAfter[]): readonly string[] {
  return [...new Set(done.flatMap(({ after }) => [after.id, ...namedClasses(after)]))]
}
