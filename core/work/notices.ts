import { groupBy } from '../base'
import type { AssignmentId, Instant, UserId } from '../base'
import type { LearnerWork } from './types'

export const NOTICE_KINDS = ['new', 'moved', 'more-time', 'more-tries', 'taken-back'] as const
/** What happened to somebody's work, as far as they are told. */
export type NoticeKind = (typeof NOTICE_KINDS)[number]

/** Something a learner is told about their work, from `fromAt` on: nobody hears of work before it is listed. */
export interface Notice {
  readonly learnerId: UserId
  readonly assignmentId: AssignmentId
  readonly kind: NoticeKind
  readonly at: Instant
  readonly fromAt: Instant
}

type Row = Pick<LearnerWork, 'learnerId' | 'assignmentId' | 'pieceId' | 'terms'>

/**
 * What learners are told when one assignment's rows become others: one notice each at most, the best news first. Work
 * that is over, and changes of work that they do not know of yet, are told to nobody.
 */
export function noticesOf(had: readonly Row[], next: readonly Row[], now: Instant): Notice[] {
  const before = groupBy(had, (r) => r.learnerId)
  const after = groupBy(next, (r) => r.learnerId)
  const learners = new Set([...before.keys(), ...after.keys()])
  return [...learners].flatMap((learnerId): readonly Notice[] => {
    const own = before.get(learnerId) ?? []
    const theirs = after.get(learnerId) ?? []
    const [one] = [...theirs, ...own]
    const told = one ? toldOf(own, theirs, now) : null
    return one && told ? [{ learnerId, assignmentId: one.assignmentId, at: now, ...told }] : []
  })
}

function toldOf(
  had: readonly Row[],
  next: readonly Row[],
  now: Instant,
): Pick<Notice, 'kind' | 'fromAt'> | null {
  const isKnown = had.length > 0 && listedAt(had) <= now
  if (next.length === 0) return isKnown && !isOver(had, now) ? { kind: 'taken-back', fromAt: now } : null
  if (isOver(next, now)) return null
  const fromAt = Math.max(now, listedAt(next)) as Instant
  if (had.length === 0) return { kind: 'new', fromAt }
  // told on the day on which it is listed now
  if (!isKnown) return listedAt(had) === listedAt(next) ? null : { kind: 'new', fromAt }
  const kind = changeBetween(had, next)
  return kind === null ? null : { kind, fromAt }
}

/** Which change of a learner's rows is worth telling. */
function changeBetween(had: readonly Row[], next: readonly Row[]): NoticeKind | null {
  const before = new Map(had.map((r) => [r.pieceId, r.terms]))
  const pairs = next.flatMap((r) => {
    const old = before.get(r.pieceId)
    return old ? [{ old, terms: r.terms }] : []
  })
  if (pairs.length < next.length) return 'moved'
  const endOf = (at: Instant | null) => at ?? Number.POSITIVE_INFINITY
  const later = pairs.some(
    ({ old, terms }) => endOf(terms.due) > endOf(old.due) || endOf(terms.closes) > endOf(old.closes),
  )
  const moved = pairs.some(
    ({ old, terms }) =>
      endOf(terms.due) < endOf(old.due) ||
      endOf(terms.closes) < endOf(old.closes) ||
      (terms.opens ?? 0) !== (old.opens ?? 0),
  )
  // both ends later by the same change of the plan is a move, not a present
  if (moved) return 'moved'
  if (later) return 'more-time'
  const tries = pairs.some(
    ({ old, terms }) => (terms.maxAttempts ?? Infinity) > (old.maxAttempts ?? Infinity),
  )
  return tries ? 'more-tries' : null
}

/** From when on a learner knows of any of it. */
function listedAt(rows: readonly Row[]): Instant {
  return Math.min(...rows.map((r) => r.terms.listed ?? 0)) as Instant
}

/** Whether all of it has closed. */
function isOver(rows: readonly Row[], now: Instant): boolean {
  return rows.every((r) => r.terms.closes !== null && r.terms.closes <= now)
}
