import { z } from 'zod'
import type { AssignmentId, AttemptId, ClassId, Instant, ItemId, PieceId, UserId } from '#core/base'
import type { AnswerToScore, Cell, ItemFigures } from '#core/evidence'
import type { Item, KeptFile } from '#core/library'
import { contract, id, prose } from './define'

export interface GridColumn {
  readonly assignmentId: AssignmentId
  readonly pieceId: PieceId
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  /** Done by the learner's word: without a score. */
  readonly isRead: boolean
  /** Learners may hand in files for it. */
  readonly takesFiles: boolean
  /** Learners of the class who need not do it. */
  readonly excusedIds: readonly UserId[]
  readonly title: string
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
  readonly now: Instant
}
export const ShowGrid = contract<ClassGrid>()({
  method: 'GET',
  path: '/api/evidence/:classId',
  params: z.strictObject({ classId: id<ClassId>() }),
})

/** Answers of a class to a piece that a person scores; those that wait come first. */
export const ListToScore = contract<{ readonly answers: readonly AnswerToScore[] }>()({
  method: 'GET',
  path: '/api/evidence/to-score/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  query: z.strictObject({ classId: id<ClassId>(), pieceId: id<PieceId>() }),
})
/** Scores one answer, for all of a team who handed it in together; says how many learners that are. */
export const ScoreAnswer = contract<{ readonly learners: number }>()({
  method: 'POST',
  path: '/api/tries/:attemptId/score',
  params: z.strictObject({ attemptId: id<AttemptId>() }),
  body: z.strictObject({ itemId: id<ItemId>(), points: z.number(), comment: prose(2000) }),
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
  readonly title: string
  /** Of an assignment with several pieces; else null. */
  readonly pieceTitle: string | null
  readonly className: string | null
  readonly tries: number
  readonly figures: readonly ItemFigures[]
  readonly items: readonly Item[]
  /** What was handed in as files, by name. */
  readonly files: readonly FileHandedIn[]
}
/**
 * Items of a piece of an assignment (without a name: of its first that has any), hardest first; over one class or
 * all.
 */
export const ShowItems = contract<PieceFigures>()({
  method: 'GET',
  path: '/api/evidence/items/:assignmentId',
  params: z.strictObject({ assignmentId: id<AssignmentId>() }),
  query: z.strictObject({ classId: id<ClassId>().optional(), pieceId: id<PieceId>().optional() }),
})
