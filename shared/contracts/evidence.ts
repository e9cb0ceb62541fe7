import { z } from 'zod'
import type { ByCategory, Category } from '#core/filing'
import type {
  AssignmentId,
  AttemptId,
  BookId,
  ClassId,
  CommentId,
  Instant,
  ItemId,
  PieceId,
  UserId,
  ResourceId,
} from '#core/base'
import type { Correction } from '#core/attempts'
import type { AnswerToScore, Cell, ItemFigures, KeptComment } from '#core/evidence'
import type { Item, KeptFile } from '#core/library'
import { WIRE } from '../shapes/makers'
import { contract, id, prose } from './define'

export interface GridColumn {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly resourceId: ResourceId
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  /** Done by the learner's word: without a score. */
  readonly isRead: boolean
  /** Learners may hand in files for it. */
  readonly takesFiles: boolean
  /** Learners of the class who need not do it. */
  readonly excusedIds: readonly UserId[]
  readonly title: string
  /** Offered, not asked for. */
  readonly isRecommended: boolean
  /** In which part of the grade it counts; empty: none is named. */
  readonly category: string
  readonly passPercent: number | null
  readonly dueAt: Instant | null
  readonly opensAt: Instant | null
  readonly handedIn: number
  readonly reached: number
  readonly mean: number | null
}
export interface ClassGrid {
  readonly classId: ClassId
  readonly name: string
  readonly zone: string
  readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  readonly columns: readonly GridColumn[]
  readonly cells: readonly Cell[]
  /** The class's parts of the grade, with their weights. */
  readonly categories: readonly Category[]
  /** What each learner's scores are together, by these weights. */
  readonly wholes: readonly (ByCategory & { readonly learnerId: UserId })[]
  readonly now: Instant
}
/** What a class practised of its own choice, apart from all grades. */
export interface ClassPractice {
  readonly className: string
  readonly learners: readonly { readonly id: UserId; readonly name: string }[]
  readonly books: readonly PractisedBook[]
}
/** A textbook that is open as practice, or was and was used. */
export interface PractisedBook {
  readonly id: BookId
  readonly title: string
  /** How it is open now; null: it is closed. */
  readonly open: { readonly learnerIds: readonly UserId[] | null; readonly waits: boolean } | null
  readonly lessons: readonly {
    readonly number: string
    readonly title: string
    readonly pieces: readonly PractisedPiece[]
  }[]
}
export interface PractisedPiece {
  readonly id: ResourceId
  readonly title: string
  readonly times: number
  /** Mean share of points of the last times. */
  readonly mean: number | null
  readonly learners: readonly {
    readonly id: UserId
    readonly name: string
    readonly times: number
    readonly ratio: number | null
  }[]
  /** Questions that went wrong most often the last time. */
  readonly missed: readonly { readonly number: number; readonly stem: string; readonly learners: number }[]
}
export const ShowClassPractice = contract<ClassPractice>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/classes/:classId/practised',
  params: z.strictObject({ classId: id<ClassId>() }),
})
export const ShowGrid = contract<ClassGrid>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/evidence/:classId',
  params: z.strictObject({ classId: id<ClassId>() }),
})

/** Answers of a class to a piece that a person scores, by name; and the asker's own comments, the latest first. */
export interface ScoringQueue {
  readonly title: string
  readonly className: string
  /** What the piece shows before it asks. */
  readonly content: string
  readonly answers: readonly AnswerToScore[]
  readonly comments: readonly KeptComment[]
  /** Learners of the class who have the piece and nothing written for it. */
  readonly without: readonly { readonly id: UserId; readonly name: string }[]
}
export const ListToScore = contract<ScoringQueue>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/evidence/to-score/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  query: z.strictObject({ classId: id<ClassId>(), pieceId: id<PieceId>() }),
})
/**
 * Keeps what is given for one answer, not yet shown to its learner; `version` counts the changes that were seen, and
 * the reply's is the next.
 */
export const DraftScore = contract<{ readonly version: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/tries/:attemptId/draft-score',
  params: z.strictObject({ attemptId: id<AttemptId>() }),
  body: z.strictObject({
    itemId: id<ItemId>(),
    levels: z.array(z.number().nullable()).max(100),
    comment: prose(2000),
    again: z.boolean(),
    version: z.number().int().min(0),
  }),
})
/** Gives a class's learners what was given for their answers; says how many texts, and how many learners go again. */
export const ReleaseScores = contract<{
  readonly released: number
  readonly returned: number
  readonly left: number
}>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/evidence/release/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  body: z.strictObject({
    classId: id<ClassId>(),
    pieceId: id<PieceId>(),
    /** What was looked at of what is not released. */
    seen: WIRE.list(
      z.strictObject({ attemptId: id<AttemptId>(), itemId: id<ItemId>(), version: WIRE.whole(0, 1_000_000) }),
      4000,
    ),
  }),
})
/** Takes over texts that learners wrote elsewhere: all of them or none. */
export const AddTexts = contract<{ readonly added: number }>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/evidence/texts/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  body: z.strictObject({
    classId: id<ClassId>(),
    pieceId: id<PieceId>(),
    texts: z
      .array(
        z.strictObject({ learnerId: id<UserId>(), text: prose(20_000).refine((t) => t !== '', 'is empty') }),
      )
      .min(1)
      .max(400),
  }),
  mostBytes: 10_000_000,
})
interface Comments {
  readonly comments: readonly KeptComment[]
}
/** Keeps a comment of one's own to use it again. */
export const KeepComment = contract<Comments>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/comments',
  body: z.strictObject({ text: prose(2000) }),
})
/** Forgets one. */
export const ForgetComment = contract<Comments>()({
  for: 'teacher',
  method: 'POST',
  path: '/api/comments/:id/forget',
  params: z.strictObject({ id: id<CommentId>() }),
})

/** A file that a learner handed in for a piece. */
export interface FileHandedIn extends KeptFile {
  readonly learnerId: UserId
  readonly learnerName: string
  readonly handedAt: Instant
}
export interface PieceFigures {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  readonly resourceId: ResourceId
  readonly title: string
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  readonly className: string | null
  readonly tries: number
  /** Of the whole work, for changing it. */
  readonly version: number
  /** Whether the asker may put questions right: the work is all theirs. */
  readonly mayMend: boolean
  /** What was put right in this form. */
  readonly corrections: readonly Correction[]
  /** Of questions that count: those that were left out for everybody have none. */
  readonly figures: readonly ItemFigures[]
  /** As they are right now. */
  readonly items: readonly Item[]
  /** What was handed in as files, by name. */
  readonly files: readonly FileHandedIn[]
}
/**
 * Items of a piece of an assignment (without a name: of its first that has any), hardest first; over one class or
 * all.
 */
export const ShowItems = contract<PieceFigures>()({
  for: 'teacher',
  method: 'GET',
  path: '/api/evidence/items/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  query: z.strictObject({ classId: id<ClassId>().optional(), pieceId: id<PieceId>().optional() }),
})
