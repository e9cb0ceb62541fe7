import { z } from 'zod'
import type { ItemId, ResourceId } from '#core/base'
import type { LearnerItem, Material, PiecePlace, PracticeResult, ResourceKind } from '#core/library'
import { itemShapes } from '../shapes/items'
import { WIRE } from '../shapes/makers'
import { contract, id } from './define'

export interface PracticePiece {
  readonly title: string
  readonly kind: ResourceKind
  readonly minutes: number
  readonly content: string
  readonly material: Material
  readonly items: readonly LearnerItem[]
}
const ofPiece = z.strictObject({ resourceId: id<ResourceId>() })
export const OpenPractice = contract<PracticePiece>()({
  for: 'learner',
  method: 'GET',
  path: '/api/practice/:resourceId',
  params: ofPiece,
})
/** Where a link in a text leads its reader; null: nobody has given them the piece. */
export const FindPiece = contract<{ readonly place: PiecePlace | null }>()({
  for: 'learner',
  method: 'GET',
  path: '/api/my-pieces/:resourceId',
  params: ofPiece,
})
export interface PracticeDone {
  readonly results: readonly PracticeResult[]
  readonly ratio: number | null
  readonly times: number
  /** The work for whose sake right answers are not shown; null: they are. */
  readonly heldBackBy: string | null
}
/** Scores answers, and shows at once what is right. */
export const CheckPractice = contract<PracticeDone>()({
  for: 'learner',
  method: 'POST',
  path: '/api/practice/:resourceId',
  params: ofPiece,
  body: z.strictObject({
    answers: WIRE.list(z.strictObject({ itemId: id<ItemId>(), answer: itemShapes(WIRE).answer }), 100),
  }),
})
