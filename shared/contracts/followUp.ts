import { z } from 'zod'
import type { AssignmentId, ClassId, Instant, PieceId, ResourceId } from '#core/base'
import type { Category } from '#core/filing'
import type { Became, FollowUpGround, FollowUpLearner } from '#core/followUp'
import { contract, id } from './define'

/** Somebody of a class, with what they missed in a check. */
export interface NamedLearner extends FollowUpLearner {
  readonly name: string
}
/** Work that followed a check up, and what became of it. */
export interface EarlierFollowUp {
  readonly assignmentId: AssignmentId
  readonly title: string
  readonly publishedAt: Instant | null
  readonly learners: number
  /** Who handed in something of it. */
  readonly done: number
  readonly became: readonly Became[]
}
/** What a class missed in a piece of its work, what there is for it, and what became of what was given before. */
export interface FollowUpPage {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly now: Instant
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly resourceId: ResourceId
  readonly title: string
  /** How many of the class have the piece. */
  readonly reached: number
  readonly learners: readonly NamedLearner[]
  readonly ground: FollowUpGround
  readonly standards: readonly { readonly code: string; readonly text: string }[]
  readonly filing: { readonly categories: readonly Category[]; readonly proposed: string }
  /** When the class meets next, soonest first. */
  readonly meetings: readonly Instant[]
  readonly earlier: readonly EarlierFollowUp[]
}
export const ShowFollowUp = contract<FollowUpPage>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/follow-up/:assignmentId/:pieceId',
  params: z.strictObject({
    classId: id<ClassId>(),
    assignmentId: id<AssignmentId>(),
    pieceId: id<PieceId>(),
  }),
})
