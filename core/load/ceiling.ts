import type { AssignmentId, Instant, UserId } from '../base'

/** A piece that a learner has to do, or will: from when, and until when it can be done. Null: at once; for ever. */
export interface Carried {
  readonly from: Instant | null
  readonly until: Instant | null
}

/** Work that waits until its learner has room for it. */
export interface Queued extends Carried {
  /** Null: work that is not kept yet. */
  readonly assignmentId: AssignmentId | null
  readonly learnerId: UserId
  /** How many pieces it holds; from the first of them until the last it is open. */
  readonly pieces: number
  /** Since when it waits; the first to come is the first to go. */
  readonly since: Instant
}

/** What becomes of a learner's queue. */
export interface QueueTurn<Q extends Queued = Queued> {
  /** Released now, in order. */
  readonly out: readonly Q[]
  /** Its window has ended while it waited: it is told, and no longer released. */
  readonly tooLate: readonly Q[]
  readonly waits: readonly Q[]
}

/** How many of these pieces are open at an instant. */
export function openAt(pieces: readonly Carried[], at: Instant): number {
  return pieces.filter((p) => (p.from === null || p.from <= at) && (p.until === null || p.until > at)).length
}

/** Whether a learner with so many open pieces has room for more; one that is over the ceiling by itself fits alone. */
export function hasRoom(open: number, pieces: number, most: number): boolean {
  return open + pieces <= most || (open === 0 && pieces > most)
}

/**
 * Whose turn it is in one learner's queue: the first that still make sense, as long as there is room. Room is looked
 * for at the moment when work would open, among what is open then and not done by now; so work of next month does not
 * wait for what is over by then. Nothing overtakes what waits before it, however small it is.
 */
export function queueTurn<Q extends Queued>(
  queue: readonly Q[],
  carried: readonly Carried[],
  most: number,
  now: Instant,
): QueueTurn<Q> {
  const inOrder = queue.toSorted(
    (a, b) => a.since - b.since || opensAt(a, now) - opensAt(b, now) || byId(a, b),
  )
  const tooLate = inOrder.filter((q) => isOver(q, now))
  const inTime = inOrder.filter((q) => !isOver(q, now))
  const has = [...carried]
  const isFull = (q: Queued) => !hasRoom(openAt(has, opensAt(q, now)), q.pieces, most)
  const out: Q[] = []
  for (const next of inTime) {
    if (isFull(next)) break
    out.push(next)
    has.push(...Array.from({ length: next.pieces }, () => next))
  }
  return { out, tooLate, waits: inTime.slice(out.length) }
}

/** When waiting work could be begun, not before now. */
function opensAt({ from }: Queued, now: Instant): Instant {
  return Math.max(now, from ?? now) as Instant
}

/** Whether the window of waiting work has ended. */
export function isOver({ until }: Pick<Queued, 'until'>, now: Instant): boolean {
  return until !== null && until <= now
}

function byId(a: Queued, b: Queued): number {
  return (a.assignmentId ?? '') < (b.assignmentId ?? '') ? -1 : 1
}
