import { addMinutes, assertNever, ok, refuse, seedOf, seededRandom, shuffled } from '../base'
import type { Instant, ItemId, Result } from '../base'
import { fitsItem } from '../library'
import type { Answer, Item } from '../library'
import type { AttemptRefusal } from './refusals'
import type { Attempt, AttemptRules, EndedBy, Reveal, TryTerms } from './types'

/** Allowed after the limit for the network, in seconds; only answers sent in time get through it. */
export const GRACE_SECONDS = 30

type TryFacts = Pick<Attempt, 'number' | 'startedAt' | 'deadlineAt' | 'submittedAt'>

/** Whether a new try may start at `now`. One in progress is continued, never doubled. */
export function mayStart(
  earlier: readonly TryFacts[],
  terms: TryTerms,
  rules: Pick<AttemptRules, 'waitMinutes'>,
  now: Instant,
): Result<{ readonly number: number; readonly deadlineAt: Instant | null }, AttemptRefusal> {
  const open = inWindow(terms, now)
  if (open) return refuse(open)
  if (earlier.some((a) => a.submittedAt === null))
    return refuse({ code: 'attempts/one-in-progress', field: 'assignmentId' })
  if (terms.maxAttempts !== null && earlier.length >= terms.maxAttempts)
    return refuse({
      code: 'attempts/none-left',
      field: 'assignmentId',
      used: earlier.length,
      most: terms.maxAttempts,
    })
  const last = earlier.reduce<Instant | null>(
    (at, a) => (a.submittedAt !== null && (at === null || a.submittedAt > at) ? a.submittedAt : at),
    null,
  )
  if (last !== null && rules.waitMinutes > 0 && now < addMinutes(last, rules.waitMinutes))
    return refuse({
      code: 'attempts/wait',
      field: 'assignmentId',
      until: addMinutes(last, rules.waitMinutes),
    })
  return ok({
    number: earlier.length + 1,
    deadlineAt: terms.timeLimitMinutes === null ? null : addMinutes(now, terms.timeLimitMinutes),
  })
}

function inWindow(terms: TryTerms, now: Instant): AttemptRefusal | null {
  if (terms.opensAt !== null && now < terms.opensAt)
    return { code: 'attempts/not-open-yet', field: 'assignmentId', opensAt: terms.opensAt }
  if (terms.closesAt !== null && now >= terms.closesAt)
    return { code: 'attempts/closed', field: 'assignmentId', closedAt: terms.closesAt }
  return null
}

/**
 * Whether answers may still be saved or handed in at `now`; 30 s grace after a time limit, none after
 * closing.
 */
export function mayChange(attempt: TryFacts, terms: TryTerms, now: Instant): Result<true, AttemptRefusal> {
  if (attempt.submittedAt !== null) return refuse({ code: 'attempts/already-handed-in', field: 'attemptId' })
  if (terms.closesAt !== null && now >= terms.closesAt)
    return refuse({ code: 'attempts/closed', field: 'assignmentId', closedAt: terms.closesAt })
  if (attempt.deadlineAt !== null && now >= attempt.deadlineAt + GRACE_SECONDS * 1000)
    return refuse({ code: 'attempts/time-is-up', field: 'attemptId', deadlineAt: attempt.deadlineAt })
  return ok(true)
}

/**
 * When and why a try that is still in progress at `now` has to count as handed in, with what was saved; null
 * while it may go on.
 */
export function endingOf(
  attempt: TryFacts,
  terms: TryTerms,
  now: Instant,
): { readonly at: Instant; readonly endedBy: EndedBy } | null {
  if (attempt.submittedAt !== null) return null
  const byTime =
    attempt.deadlineAt !== null && now >= attempt.deadlineAt + GRACE_SECONDS * 1000
      ? attempt.deadlineAt
      : null
  const byClose = terms.closesAt !== null && now >= terms.closesAt ? terms.closesAt : null
  if (byTime !== null && (byClose === null || byTime <= byClose)) return { at: byTime, endedBy: 'time-limit' }
  return byClose === null ? null : { at: byClose, endedBy: 'closing' }
}

/** Accepts an answer that fits the item, or names what is wrong with it. */
export function checkAnswer(
  items: readonly Item[],
  itemId: ItemId,
  answer: Answer,
): Result<Answer, AttemptRefusal> {
  const item = items.find((i) => i.id === itemId)
  if (!item) return refuse({ code: 'attempts/unknown-item', field: 'itemId', itemId })
  if (answer.kind !== item.kind)
    return refuse({ code: 'attempts/wrong-kind-of-answer', field: 'answer', itemId, expected: item.kind })
  return fitsItem(item, answer)
    ? ok(answer)
    : refuse({ code: 'attempts/unknown-option', field: 'answer', itemId })
}

/** Accepts answers that all fit their items, or says what is wrong with the first that does not. */
export function checkAnswers(
  items: readonly Item[],
  answers: readonly { readonly itemId: ItemId; readonly answer: Answer }[],
): Result<true, AttemptRefusal> {
  for (const { itemId, answer } of answers) {
    const fits = checkAnswer(items, itemId, answer)
    if (!fits.ok) return fits
  }
  return ok(true)
}

/**
 * The items of one try in the learner's order: repeatable for the same assignment, learner and try number.
 */
export function orderItems<T>(
  items: readonly T[],
  order: AttemptRules['order'],
  of: { readonly assignmentId: string; readonly learnerId: string; readonly number: number },
): readonly T[] {
  if (order === 'as-written') return items
  return shuffled(items, seededRandom(seedOf(`${of.assignmentId}/${of.learnerId}/${of.number}`)))
}

/** The learner and the piece that a try is at, and which of their tries it is. */
export type TryOf = Pick<Attempt, 'assignmentId' | 'pieceId' | 'learnerId' | 'number'>

/** When work closes for one learner, and when for the last of all who have it; null where it never does. */
export interface Closings {
  readonly own: Instant | null
  readonly all: Instant | null
}

/**
 * Whether something revealed by rule may be shown now. Until everybody has closed, right answers could travel to
 * a learner with extra days; where somebody's work never closes, that never comes.
 */
export function isRevealed(reveal: Reveal, closes: Closings, now: Instant): boolean {
  switch (reveal) {
    case 'item':
    case 'submission':
      return true
    case 'close':
      return isPast(closes.own, now) && isPast(closes.all, now)
    case 'own-close':
      return isPast(closes.own, now)
    case 'never':
      return false
    default:
      return assertNever(reveal)
  }
}

function isPast(at: Instant | null, now: Instant): boolean {
  return at !== null && now >= at
}
