import type { AssignmentId, PieceId, UserId } from '#core/base'
import { readingTerms } from '#core/attempts'
import type { Attempt, AttemptRules, TryTerms } from '#core/attempts'
import type { Resource } from '#core/library'
import { rulesOf } from '#core/work'
import type { LearnerWork, WorkPiece } from '#core/work'
import { assignmentById, pieceIn } from '#db/repositories'
import type { Connection } from '#db/repositories'

/** A piece of an assignment in the form in which somebody has it. */
export interface GivenPiece {
  readonly piece: WorkPiece
  readonly rules: AttemptRules
  readonly resource: Resource
  /** Who works together at it; none: everybody alone. */
  readonly teams: readonly (readonly UserId[])[]
  /** Without items: done by the learner's word. */
  readonly isRead: boolean
}

/**
 * A piece as it is given out, or as it was in the form that a try began with. One that is not there is a defect:
 * rows and tries name only pieces that are.
 */
export async function givenPiece(
  tx: Connection,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId; readonly revision?: number },
): Promise<GivenPiece> {
  const assignment = await assignmentById(tx, of.assignmentId)
  const piece = assignment?.pieces.find((p) => p.id === of.pieceId)
  const form = piece ? { ...piece, revision: of.revision ?? piece.revision } : null
  const resource = form ? await pieceIn(tx, form) : null
  if (!assignment || !piece || !resource) throw new Error('work without its piece')
  const teams = piece.handIn === 'together' ? assignment.teams : []
  return { piece, rules: rulesOf(assignment, piece), resource, teams, isRead: resource.items.length === 0 }
}

/** The same, by the rules of somebody who has some of their own. */
export function asTheirs(given: GivenPiece, { rules }: Pick<LearnerWork, 'rules'>): GivenPiece {
  return { ...given, rules: { ...given.rules, ...rules } }
}

/** A learner's own moments and limits as the attempt rules read them. */
export function tryTermsOf({ terms }: Pick<LearnerWork, 'terms'>, isRead: boolean): TryTerms {
  const { maxAttempts, timeLimitMinutes } = terms
  const of = { opensAt: terms.opens, dueAt: terms.due, closesAt: terms.closes, maxAttempts, timeLimitMinutes }
  return isRead ? readingTerms(of) : of
}

/** Whether a try's items are chosen one after another; one that began by other rules has them all. */
export function isAdaptive({ items }: AttemptRules, { itemIds }: Pick<Attempt, 'itemIds'>): boolean {
  return items.kind === 'adaptive' && itemIds !== null
}
