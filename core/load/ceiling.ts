import type { AssignmentId, Instant, UserId } from '../base'

/** As much as one ceiling may be set to. */
export const MOST_CEILING = 50

/** How many pieces of a category a learner of a class may have open at once. */
export interface Ceiling {
  readonly category: string
  readonly most: number
}

/** Work that waits until its learner has room for it. */
export interface Queued {
  readonly assignmentId: AssignmentId
  readonly learnerId: UserId
  /** How many pieces it holds. */
  readonly pieces: number
  /** Since when it waits; the first to come is the first to go. */
  readonly since: Instant
  /** When its window ends; null: never. */
  readonly endsAt: Instant | null
}

/** What becomes of a learner's queue. */
export interface QueueTurn {
  /** Released now, in order. */
  readonly out: readonly Queued[]
  /** Its window has ended while it waited: it is told, and no longer released. */
  readonly tooLate: readonly Queued[]
  readonly waits: readonly Queued[]
}

/** Whether a learner with so many open pieces has room for more; one that is over the ceiling by itself fits alone. */
export function hasRoom(open: number, pieces: number, { most }: Pick<Ceiling, 'most'>): boolean {
  return open + pieces <= most || (open === 0 && pieces > most)
}

/**
 * Whose turn it is in one learner's queue: the first that still make sense, as long as there is room. Nothing overtakes
 * what waits before it, however small it is.
 */
export function queueTurn(
  queue: readonly Queued[],
  open: number,
  ceiling: Pick<Ceiling, 'most'>,
  now: Instant,
): QueueTurn {
  const inOrder = queue.toSorted((a, b) => a.since - b.since || (a.assignmentId < b.assignmentId ? -1 : 1))
  const isOver = (q: Queued) => q.endsAt !== null && q.endsAt <= now
  const tooLate = inOrder.filter(isOver)
  const out: Queued[] = []
  let has = open
  for (const next of inOrder.filter((q) => !isOver(q))) {
    if (!hasRoom(has, next.pieces, ceiling)) break
    out.push(next)
    has += next.pieces
  }
  const waits = inOrder.filter((q) => !isOver(q) && !out.includes(q))
  return { out, tooLate, waits }
}
