import { z } from 'zod'
import type { AssignmentId, ItemId, PieceId, UserId } from '#core/base'
import { itemShapes } from '../shapes/items'
import { WIRE } from '../shapes/makers'
import { contract, id, version } from './define'

const { item } = itemShapes(WIRE)

/** A try whose score becomes another: shares from 0 to 1, null: a person has yet to score it. */
export interface ScoreChange {
  readonly learnerId: UserId
  readonly name: string
  /** Which of their tries, 1 for the first. */
  readonly number: number
  readonly before: number | null
  readonly after: number | null
}
/** What putting a question right changes. */
export interface Regrading {
  /** How many tries are scored anew. */
  readonly tries: number
  readonly changes: readonly ScoreChange[]
}
const mending = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('key'), item }),
  z.strictObject({ kind: z.enum(['dropped', 'credit', 'as-given']) }),
])
/** How a question is put right; `as-given`: what was put right is taken back. */
export type Mending = z.infer<typeof mending>

const toRegrade = {
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  body: z.strictObject({ version, pieceId: id<PieceId>(), itemId: id<ItemId>(), mending }),
}
/** Whose scores would change; nothing is kept. */
export const PreviewRegrade = contract<Regrading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId/regrade-preview',
  ...toRegrade,
})
/** Puts a question right and scores all tries at it anew. */
export const Regrade = contract<Regrading>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/work/:assignmentId/regrade',
  ...toRegrade,
})
