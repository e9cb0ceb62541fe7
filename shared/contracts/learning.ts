import { z } from 'zod'
import type { AssignmentId, AttemptId, Instant, ItemId, PageId, PieceId } from '#core/base'
import type { EndedBy, Help, KeptAnswer } from '#core/attempts'
import type { Answer, LearnerItem, Material } from '#core/library'
import type { Support } from '#core/versions'
import type { LearnerCard, LearnerPiece, MyFile } from '#core/work'
import { itemShapes } from '../shapes/items'
import { WIRE } from '../shapes/makers'
import { contract, id } from './define'

export interface OpenTry {
  readonly attemptId: AttemptId
  readonly number: number
  readonly deadlineAt: Instant | null
  readonly items: readonly LearnerItem[]
  readonly answers: Readonly<Record<ItemId, Answer>>
  /** How often each answer was written; a save names the one it was made from. */
  readonly revisions: Readonly<Record<ItemId, number>>
  /** All items at once, each looked at when wished, or one after another. */
  readonly mode: 'all' | 'item-by-item' | 'one-after-another'
  /** Of items one after another: as many as there can be. */
  readonly most: number | null
  /** What was given for good, with what the rules show of it at once. */
  readonly fixed: Readonly<Record<ItemId, Omit<SeenItem, 'item' | 'answer'>>>
  readonly help: readonly Help[]
  /** Words that are expected in a text, where one may look for them. */
  readonly expected: readonly string[]
  /** In which one writes, such as `en`. */
  readonly language: string
  readonly example: { readonly title: string; readonly content: string } | null
}
/**
 * One item of a try that was handed in. `points` and `feedback` by the feedback rule, `right` by the answers
 * rule; absent otherwise.
 */
export interface SeenItem {
  readonly item: LearnerItem
  readonly answer: Answer | null
  readonly points?: number
  readonly feedback?: string
  /** In place of feedback that would give away what may be asked again. */
  readonly hint?: string
  readonly right?: string
  /** It counts for nobody, or all points were given to everybody; whatever was answered. */
  readonly putRight?: 'dropped' | 'credit'
  /** The teacher has yet to score it. */
  readonly waits?: true
  /** What the teacher wrote. */
  readonly comment?: string
  /** For what its points are, where there are criteria. */
  readonly criteria?: readonly { readonly name: string; readonly points: number; readonly of: number }[]
}
export interface SeenTry {
  readonly attemptId: AttemptId
  readonly number: number
  readonly submittedAt: Instant
  readonly endedBy: EndedBy
  readonly late: boolean
  readonly score: {
    readonly points: number
    readonly of: number
    /** Null while the teacher has yet to score all of it. */
    readonly ratio: number | null
    readonly lateDays: number
    readonly deductedRatio: number
    /** Worked out for all questions of the piece, since each learner had others. */
    readonly isEstimate: boolean
    /** Points of what the teacher has yet to score; left out of the score. */
    readonly waiting: number
  } | null
  readonly items: readonly SeenItem[]
}
export interface MyPiece {
  readonly work: LearnerCard
  readonly piece: LearnerPiece
  readonly content: string
  readonly material: Material
  /** What stands beside it for this learner; null: nothing. */
  readonly support: Support | null
  readonly open: OpenTry | null
  /** A piece that is only read and was opened: from when it may be called done. */
  readonly reading: { readonly attemptId: AttemptId; readonly doneFrom: Instant } | null
  readonly seen: readonly SeenTry[]
  /** What was handed in as files; null: this kind of piece takes none. */
  readonly files: readonly MyFile[] | null
  /** With whom it is handed in together; nobody: alone. */
  readonly mates: readonly string[]
  readonly kept: string
  readonly feedbackWhen: string
  readonly answersWhen: string
  readonly waitUntil: Instant | null
  readonly now: Instant
  readonly zone: string
}

const ofWork = z.strictObject({ assignmentId: id<AssignmentId>() })
const ofTry = z.strictObject({ attemptId: id<AttemptId>() })
/** One piece of an assignment; without a name, the one that is to be done next. */
export const ShowMyPiece = contract<MyPiece>()({
  for: 'learner',
  method: 'GET',
  path: '/api/my-work/:assignmentId',
  params: ofWork,
  query: z.strictObject({ pieceId: id<PieceId>().optional() }),
})
/** Starts a try at a piece, or goes on with the one in progress. */
export const StartTry = contract<OpenTry & { readonly now: Instant }>()({
  for: 'learner',
  method: 'POST',
  path: '/api/my-work/:assignmentId/start',
  params: ofWork,
  body: z.strictObject({ pieceId: id<PieceId>() }),
})

const MOST_EDITS = 1_000_000_000
const saves = WIRE.list(
  z.strictObject({
    itemId: id<ItemId>(),
    answer: itemShapes(WIRE).answer,
    from: WIRE.whole(0, MOST_EDITS),
    writer: id<PageId>(),
    edit: WIRE.whole(1, MOST_EDITS),
  }),
  100,
)

/** Saved for good when answered, except what is `stale`: there something newer stands. */
export const SaveAnswers = contract<{
  readonly savedAt: Instant
  readonly stands: readonly KeptAnswer[]
  readonly stale: readonly ItemId[]
}>()({
  for: 'learner',
  method: 'POST',
  path: '/api/tries/:attemptId/answers',
  params: ofTry,
  body: z.strictObject({ saves }),
})
/** Hands in a try with what was saved; handing in twice is the same as once. */
export const HandIn = contract<{ readonly assignmentId: AssignmentId; readonly submittedAt: Instant }>()({
  for: 'learner',
  method: 'POST',
  path: '/api/tries/:attemptId/hand-in',
  params: ofTry,
  body: z.strictObject({ saves }),
})
/** Gives one answer for good, where something is shown item by item or the next item depends on it. */
export const FixAnswer = contract<OpenTry & { readonly now: Instant }>()({
  for: 'learner',
  method: 'POST',
  path: '/api/tries/:attemptId/fix',
  params: ofTry,
  body: z.strictObject({ itemId: id<ItemId>(), saves }),
})
