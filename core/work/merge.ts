import { grownOnly } from '../availability'
import type { LearnerTerms } from '../availability'
import type { AssignmentId, Instant, UserId } from '../base'
import { OWN_RULE_FIELDS } from './ownRules'
import type { Resolution } from './resolve'
import type { LearnerWork } from './types'

/** What learners would have, and what they have. */
export interface WorkToMerge {
  readonly rows: Resolution['rows']
  readonly had: readonly LearnerWork[]
  /** Who has begun it. */
  readonly begun: ReadonlySet<UserId>
  readonly now: Instant
}

/**
 * What every learner should have now. Windows of learners who have begun only grow, they keep the version that they
 * know, and one who has begun and is no longer reached keeps the work and its results. Of what was due before `now` the
 * version stays, too: it is what was given.
 */
export function mergeForBegun(
  assignmentId: AssignmentId,
  { rows, had, begun, now }: WorkToMerge,
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

/** How each of a learner's terms is compared; minutes of a limit to the whole one. */
const AS_COMPARED: { readonly [Field in keyof LearnerTerms]: (value: LearnerTerms[Field]) => unknown } = {
  listed: asItIs,
  opens: asItIs,
  due: asItIs,
  closes: asItIs,
  putAway: asItIs,
  maxAttempts: asItIs,
  timeLimitMinutes: (minutes) => (minutes === null ? null : Math.round(minutes)),
}
const TERM_FIELDS = Object.keys(AS_COMPARED) as (keyof LearnerTerms)[]

function asItIs<T>(value: T): T {
  return value
}

function compared<Field extends keyof LearnerTerms>(terms: LearnerTerms, field: Field): unknown {
  return AS_COMPARED[field](terms[field])
}

function keyOf({ learnerId, pieceId, classId, terms, rules, version }: LearnerWork): string {
  const moments = TERM_FIELDS.map((field) => compared(terms, field))
  const own = OWN_RULE_FIELDS.map((field) => rules[field])
  return JSON.stringify([learnerId, pieceId, classId, moments, own, version])
}
