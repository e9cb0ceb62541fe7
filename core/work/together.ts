import type { Passing, Place } from '../attempts'
import type { WorkState } from '../availability'
import type { AssignmentId, ClassId, Instant, Minutes, PieceId, SeriesId } from '../base'
import type { ResourceKind } from '../library'
import type { About } from './about'
import { WHENS } from './types'
import type { When } from './types'

/** What has to be done before something else. */
export interface Blocker {
  /** Other work of the class that comes first, or an earlier piece of the same work. */
  readonly kind: 'work' | 'piece'
  readonly title: string
}

/** How a learner stands with a piece, as far as it tells how far the whole of it is. */
export interface PieceStanding {
  readonly place: Place
  readonly minutes: Minutes
  readonly opensAt: Instant | null
  readonly dueAt: Instant | null
  readonly closesAt: Instant | null
  readonly handedInAt: Instant | null
  readonly ratio: number | null
  readonly mayTry: boolean
  readonly inProgress: boolean
}

/**
 * What the pieces of one assignment are together, for one learner: `dueAt` of the next thing that is not done (once
 * all is done, of the last), `handedInAt` when all are done, `ratio` the mean over the pieces that show a score.
 */
export interface Together extends PieceStanding {
  /** How many pieces are done. */
  readonly done: number
}

/** A piece of their work as its learner may know it; `ratio` only when the rules show it. */
export interface LearnerPiece extends PieceStanding {
  readonly pieceId: PieceId
  readonly title: string
  readonly kind: ResourceKind
  readonly when: When
  readonly itemCount: number
  readonly state: WorkState
  readonly triesUsed: number
  readonly triesMost: number | null
  readonly timeLimitMinutes: number | null
  readonly passPercent: number | null
  readonly passing: Passing
  /** What has to be done before it; null: nothing. */
  readonly blockedBy: Blocker | null
}

/** An assignment as its learner may know it: its pieces in the order in which they are done, and all together. */
export interface LearnerCard extends Together {
  readonly id: AssignmentId
  readonly title: string
  readonly note: string
  /** All but what is for teachers. */
  readonly about: Omit<About, 'category'>
  readonly isFirst: boolean
  readonly inTurn: boolean
  readonly classId: ClassId
  readonly className: string
  /** The series of which it is a row; null: it is by itself. */
  readonly series: { readonly id: SeriesId; readonly title: string } | null
  readonly pieces: readonly LearnerPiece[]
}

/** Pieces as a learner does them: what comes before class first, else in the order that the teacher gave them. */
export function inOrder<P extends { readonly when: When }>(pieces: readonly P[]): readonly P[] {
  return [...pieces].sort((a, b) => WHENS.indexOf(a.when) - WHENS.indexOf(b.when))
}

/**
 * Pieces of one assignment taken together: to do now while one of them is, done when all are done or over, else
 * coming up. At least one piece.
 */
export function togetherOf(pieces: readonly PieceStanding[]): Together {
  const isDone = (p: PieceStanding) => p.handedInAt !== null
  const left = pieces.filter((p) => p.place !== 'done')
  const open = left.filter((p) => !isDone(p))
  const ratios = pieces.flatMap((p) => p.ratio ?? [])
  return {
    place: placeTogether(pieces),
    minutes: pieces.reduce((sum, p) => sum + p.minutes, 0),
    opensAt: least((left.length > 0 ? left : pieces).map((p) => p.opensAt)),
    dueAt: open.length > 0 ? soonest(open.map((p) => p.dueAt)) : most(pieces.map((p) => p.dueAt)),
    closesAt: most((left.length > 0 ? left : pieces).map((p) => p.closesAt)),
    handedInAt: pieces.every(isDone) ? most(pieces.map((p) => p.handedInAt)) : null,
    ratio: ratios.length === 0 ? null : ratios.reduce((a, b) => a + b, 0) / ratios.length,
    mayTry: pieces.some((p) => p.mayTry),
    inProgress: pieces.some((p) => p.inProgress),
    done: pieces.filter(isDone).length,
  }
}

function placeTogether(pieces: readonly PieceStanding[]): Place {
  const places = pieces.map((p) => p.place)
  if (places.includes('now')) return 'now'
  return places.every((p) => p === 'done') ? 'done' : 'next'
}

/** The earliest; null, which means from the beginning, before all. */
function least(of: readonly (Instant | null)[]): Instant | null {
  return of.reduce((a, b) => (a === null || b === null ? null : a < b ? a : b), of[0] ?? null)
}
/** The latest; null, which means never, after all. */
function most(of: readonly (Instant | null)[]): Instant | null {
  return of.reduce((a, b) => (a === null || b === null ? null : a > b ? a : b), of[0] ?? null)
}
/** The earliest of those that are due at all. */
function soonest(of: readonly (Instant | null)[]): Instant | null {
  const due = of.flatMap((at) => at ?? [])
  return due.length === 0 ? null : least(due)
}
