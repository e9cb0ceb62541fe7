import { z } from 'zod'
import type { AssignmentId, ClassId, GroupId, Instant, PieceId, UserId } from '#core/base'
import type { LearnerTerms } from '#core/availability'
import type { Change, LearnerCard, NotThere, Why } from '#core/work'
import type { MyPiece } from './learning'
import { contract, id } from './define'

/** One piece that has to do with a learner, whether they see it or not. */
export interface LensRow {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly title: string
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  readonly classId: ClassId | null
  /** Null where nothing is resolved for them. */
  readonly terms: LearnerTerms | null
  readonly why: readonly Why[]
  readonly notThere: NotThere | null
}
export interface LensView {
  readonly learner: { readonly id: UserId; readonly name: string }
  readonly classes: readonly { readonly id: ClassId; readonly name: string }[]
  readonly groups: readonly { readonly id: GroupId; readonly name: string }[]
  /** Classes of theirs that the asker may not see. */
  readonly hiddenClasses: number
  readonly at: Instant
  readonly now: Instant
  readonly zone: string
  readonly work: readonly LearnerCard[]
  /** In which order finished work is found under its headings. */
  readonly headings: readonly string[]
  readonly rows: readonly LensRow[]
  readonly changes: readonly Change[]
}

/** A query holds text; nobody looks before 2000 or after 2100. */
const at = z
  .string()
  .regex(/^\d{12,13}$/, 'is not an instant')
  .transform((text) => Number(text) as Instant)
  .optional()
const ofLearner = z.strictObject({ learnerId: id<UserId>() })

/** What a learner sees at an instant, and why. */
/** A learner with what they did last. */
export interface LatelyAt {
  readonly learnerId: UserId
  readonly name: string
  readonly className: string
  readonly assignmentId: AssignmentId
  readonly title: string
  /** Null: they are at it. */
  readonly submittedAt: Instant | null
}
/** Learners who are at something or handed it in last. */
export const ListLately = contract<{ readonly learners: readonly LatelyAt[] }>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/lately',
})
export const ShowLens = contract<LensView>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/lens/:learnerId',
  params: ofLearner,
  query: z.strictObject({ at }),
})
/** One piece as a learner sees it at an instant. */
export const ShowLensPiece = contract<MyPiece>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/lens/:learnerId/:assignmentId',
  params: ofLearner.extend({ assignmentId: id<AssignmentId>() }),
  query: z.strictObject({ at, pieceId: id<PieceId>().optional() }),
})
