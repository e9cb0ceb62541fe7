import type { Target } from '#core/audience'
import type { AssignmentId, ClassId, Instant, PieceId, ResourceId, UserId } from '#core/base'
import type { Assignment, AssignmentTarget, LearnerWork, OwnRules, WorkPiece } from '#core/work'
import type { GivenVersion } from '#core/versions'
import {
  assignmentBody,
  becauseBody,
  givenVersionBody,
  overridesBody,
  ownRulesBody,
  pieceBody,
} from './bodies'

type InBody = Pick<
  Assignment,
  | 'window'
  | 'rules'
  | 'notFor'
  | 'about'
  | 'isFirst'
  | 'inTurn'
  | 'newcomers'
  | 'teams'
  | 'ruled'
  | 'overCeiling'
>

/** Stored text to what of an assignment has no column of its own. */
export function toAssignmentBody(text: string): InBody {
  return assignmentBody.read(text)
}

/** What of an assignment has no column of its own to stored text. */
export function fromAssignmentBody(of: InBody): string {
  const { window, rules, notFor, about, isFirst, inTurn, newcomers, teams, ruled, overCeiling } = of
  const body = { window, rules, notFor, about, isFirst, inTurn, newcomers, teams, ruled }
  return assignmentBody.print({ ...body, overCeiling })
}

interface PieceRow {
  readonly id: PieceId
  readonly resourceId: ResourceId
  readonly revision: number
  readonly body: string
}

/** Stored row to a piece of an assignment. */
export function toPiece({ id, resourceId, revision, body }: PieceRow): WorkPiece {
  return { id, resourceId, revision, ...pieceBody.read(body) }
}

/** A piece of an assignment to its stored parts. */
export function fromPiece({ id, resourceId, revision, ...parts }: WorkPiece): PieceRow {
  return { id, resourceId, revision, body: pieceBody.print(parts) }
}

/** Stored target row to target. */
export function toTarget(row: {
  readonly kind: Target['kind']
  readonly refId: string
  readonly overrides: string
}): AssignmentTarget {
  const { rules, versions, ...overrides } = overridesBody.read(row.overrides)
  const target = (
    row.kind === 'class'
      ? { kind: 'class', classId: row.refId }
      : row.kind === 'group'
        ? { kind: 'group', groupId: row.refId }
        : { kind: 'learner', learnerId: row.refId }
  ) as Target
  return {
    target,
    overrides,
    ...(rules === undefined ? {} : { rules }),
    ...(versions === undefined ? {} : { versions }),
  }
}

/** Target to its stored parts. */
export function fromTarget({ target, overrides, rules, versions }: AssignmentTarget): {
  readonly kind: Target['kind']
  readonly refId: string
  readonly overrides: string
} {
  const refId =
    target.kind === 'class' ? target.classId : target.kind === 'group' ? target.groupId : target.learnerId
  return { kind: target.kind, refId, overrides: overridesBody.print({ ...overrides, rules, versions }) }
}

interface LearnerWorkRow {
  readonly assignmentId: AssignmentId
  readonly learnerId: UserId
  readonly pieceId: PieceId
  readonly classId: ClassId
  readonly listedAt: number | null
  readonly opensAt: number | null
  readonly dueAt: number | null
  readonly closesAt: number | null
  readonly putAwayAt: number | null
  readonly maxAttempts: number | null
  readonly timeLimitMinutes: number | null
  readonly rules: string | null
  readonly version: string | null
  readonly because: string
}

/** What of a piece's rules is other for a learner. */
export function toOwnRules(text: string | null): Partial<OwnRules> {
  return text === null ? {} : ownRulesBody.read(text)
}

/** What of a piece's versions a learner was given. */
export function toGivenVersion(text: string | null): GivenVersion | null {
  return text === null ? null : givenVersionBody.read(text)
}

/** Row to resolved work. */
export function toLearnerWork(row: LearnerWorkRow): LearnerWork {
  const instantOf = (n: number | null) => n as Instant | null
  return {
    assignmentId: row.assignmentId,
    learnerId: row.learnerId,
    pieceId: row.pieceId,
    classId: row.classId,
    terms: {
      listed: instantOf(row.listedAt),
      opens: instantOf(row.opensAt),
      due: instantOf(row.dueAt),
      closes: instantOf(row.closesAt),
      putAway: instantOf(row.putAwayAt),
      maxAttempts: row.maxAttempts,
      timeLimitMinutes: row.timeLimitMinutes,
    },
    rules: toOwnRules(row.rules),
    version: toGivenVersion(row.version),
    because: becauseBody.read(row.because).reasons,
  }
}

/** Resolved work to row. */
export function fromLearnerWork(record: LearnerWork): LearnerWorkRow {
  const { terms } = record
  return {
    assignmentId: record.assignmentId,
    learnerId: record.learnerId,
    pieceId: record.pieceId,
    classId: record.classId,
    listedAt: terms.listed,
    opensAt: terms.opens,
    dueAt: terms.due,
    closesAt: terms.closes,
    putAwayAt: terms.putAway,
    maxAttempts: terms.maxAttempts,
    timeLimitMinutes: terms.timeLimitMinutes === null ? null : Math.round(terms.timeLimitMinutes),
    rules: Object.keys(record.rules).length === 0 ? null : ownRulesBody.print(record.rules),
    version: record.version === null ? null : givenVersionBody.print(record.version),
    because: becauseBody.print({ reasons: record.because }),
  }
}
