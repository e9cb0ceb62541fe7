import { grownOnly } from '../availability'
import type { AssignmentId, Instant, UserId } from '../base'
import type { Resolution } from './resolve'
import type { LearnerWork } from './types'

/**
 * What every learner should have now. Windows of learners who have begun only grow, they keep the version that they
 * know, and one who has begun and is no longer reached keeps the work and its results. Of what was due before `now` the
 * version stays, too: it is what was given.
 */
export function mergeForBegun(
  assignmentId: AssignmentId,
  rows: Resolution['rows'],
  had: readonly LearnerWork[],
  begun: ReadonlySet<UserId>,
  now: Instant,
): LearnerWork[] {
  const before = new Map(had.map((r) => [nameOf(r), r]))
  const next = rows.map((row): LearnerWork => {
    const old = before.get(nameOf(row))
    const next = { ...row, assignmentId }
    if (!old) return next
    if (begun.has(row.learnerId)) return grown(next, old)
    return isOver(old, now) ? { ...next, version: old.version } : next
  })
  const reached = new Set(next.map((r) => r.learnerId))
  return [...next, ...had.filter((r) => begun.has(r.learnerId) && !reached.has(r.learnerId))]
}

function isOver({ terms }: LearnerWork, now: Instant): boolean {
  const { due, closes } = terms
  return [due, closes].some((at) => at !== null && at <= now)
}

/** A learner's row, told from their others of the same assignment. */
function nameOf({ learnerId, pieceId }: Pick<LearnerWork, 'learnerId' | 'pieceId'>): string {
  return `${learnerId} ${pieceId}`
}

function grown(row: LearnerWork, old: LearnerWork): LearnerWork {
  const window = grownOnly(old.terms, row.terms)
  const because = row.because.map((b) =>
    b.field in window &&
    window[b.field as keyof typeof window] !== row.terms[b.field as keyof typeof row.terms]
      ? { ...b, level: 'started' as const, sourceId: null }
      : b,
  )
  return { ...row, version: old.version, terms: { ...row.terms, ...window }, because }
}

/**
 * Whether two resolutions of an assignment give every learner the same class, moments and limits; reasons do
 * not count.
 */
export function isSameWork(a: readonly LearnerWork[], b: readonly LearnerWork[]): boolean {
  const known = new Set(a.map(keyOf))
  return a.length === b.length && b.every((r) => known.has(keyOf(r)))
}

function keyOf({ learnerId, pieceId, classId, terms, rules, version }: LearnerWork): string {
  const { listed, opens, due, closes, putAway, maxAttempts, timeLimitMinutes } = terms
  const minutes = timeLimitMinutes === null ? null : Math.round(timeLimitMinutes)
  return JSON.stringify([
    learnerId,
    pieceId,
    classId,
    listed,
    opens,
    due,
    closes,
    putAway,
    maxAttempts,
    minutes,
    rules.waitMinutes,
    rules.passPercent,
    rules.help,
    version,
  ])
}
