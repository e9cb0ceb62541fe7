import type { Place } from '../attempts'
import type { Instant, Minutes } from '../base'
import { WHENS } from './types'
import type { When } from './types'

/** What a learner's piece is for telling how far the whole of it is. */
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

/** What the pieces of one assignment are together, for one learner. */
export interface Together {
  readonly place: Place
  readonly minutes: Minutes
  readonly opensAt: Instant | null
  /** When the next thing is due that is not done; once all is done, the last. */
  readonly dueAt: Instant | null
  readonly closesAt: Instant | null
  /** When the last piece was done; null while one is not. */
  readonly handedInAt: Instant | null
  /** Mean over the pieces that show a score. */
  readonly ratio: number | null
  readonly mayTry: boolean
  readonly inProgress: boolean
  /** How many pieces are done. */
  readonly done: number
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
