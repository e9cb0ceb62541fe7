import { ok, refuse } from '#core/base'
import type { AssignmentId, Instant, PieceId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { doneFrom, isRevealed, mayStart, orderItems, shownPoints } from '#core/attempts'
import type { Attempt, AttemptRules, Closings } from '#core/attempts'
import type { LearnerTerms } from '#core/availability'
import { forLearner, rightInWords } from '#core/library'
import type { Answer, Item } from '#core/library'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { answersOf, attemptsAt, listedWorkFor, revisionsOf } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { givenPiece, tryTermsOf } from './givenPiece'
import { cardsOf, closingsOf, zoneFor } from './myWork'
import type { Listed } from './myWork'
import { settleOverdue } from './settleOverdue'

interface Found {
  readonly work: LearnerCard
  readonly card: LearnerPiece
  readonly listed: Listed
}

/**
 * The listed work of one learner and one of its pieces, or not found: held, withdrawn, not yet listed and other
 * people's work look the same. Without a name it is the piece that is to be done next.
 */
async function listedPiece(
  tx: Connection,
  actor: Actor,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId | null },
  now: Instant,
): Promise<Result<Found, AccessRefusal>> {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' })
  const rows = (await listedWorkFor(tx, actor.userId, now)).filter((w) => w.assignmentId === of.assignmentId)
  const [work] = await cardsOf(tx, actor, rows, now)
  const card =
    of.pieceId === null
      ? (work?.pieces.find((p) => p.place === 'now') ?? work?.pieces[0])
      : work?.pieces.find((p) => p.pieceId === of.pieceId)
  const listed = rows.find((w) => w.pieceId === card?.pieceId)
  return work && card && listed
    ? ok({ work, card, listed })
    : refuse({ code: 'access/not-found', what: 'work' })
}

/** One piece: its text once open, the try in progress, and handed-in tries with as much as the rules show. */
export async function showMyPiece(
  deps: Deps,
  actor: Actor,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId | null },
) {
  const tx = deps.store.read
  const now = deps.clock.now()
  if (actor.role === 'learner') await settleOverdue(deps, { learnerId: actor.userId })
  const found = await listedPiece(tx, actor, of, now)
  if (!found.ok) return found
  const { work, card, listed } = found.value
  const tries = await attemptsAt(tx, listed, actor.userId)
  // all tries of a learner have the form with which they began
  const { piece, rules, resource, isRead } = await givenPiece(tx, tries.at(-1) ?? listed)
  const current = tries.find((t) => t.submittedAt === null) ?? null
  const start = mayStart(tries, tryTermsOf(listed, isRead), rules, now)
  const isOpen = card.state !== 'coming-up'
  return ok({
    work,
    piece: card,
    content: isOpen ? resource.content : '',
    now,
    zone: await zoneFor(tx, actor),
    open: current && !isRead ? await openTry(tx, current, resource.items, rules) : null,
    reading:
      current && isRead ? { attemptId: current.id, doneFrom: doneFrom(current, piece.leastMinutes) } : null,
    seen: await seenTries(tx, tries, listed, { rules, items: resource.items }, now),
    kept: rules.kept,
    feedbackWhen: rules.feedback,
    answersWhen: rules.answers,
    waitUntil: !start.ok && start.error.code === 'attempts/wait' ? start.error.until : null,
  })
}

/** A try in progress with its items in the learner's order, without keys. */
export async function openTry(tx: Connection, attempt: Attempt, items: readonly Item[], rules: AttemptRules) {
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map<string, Answer>()
  return {
    attemptId: attempt.id,
    number: attempt.number,
    deadlineAt: attempt.deadlineAt,
    items: orderItems(items, rules.order, attempt).map(forLearner),
    answers: Object.fromEntries(answers),
    revisions: Object.fromEntries(await revisionsOf(tx, attempt.id)),
  }
}

/** Tries that were handed in, with as much as the rules show. */
async function seenTries(
  tx: Connection,
  tries: readonly Attempt[],
  listed: Listed,
  { rules, items }: { readonly rules: AttemptRules; readonly items: readonly Item[] },
  now: Instant,
) {
  const closings = (await closingsOf(tx, [listed], now))(listed)
  const done = tries.filter((t) => t.submittedAt !== null)
  const answers = await answersOf(
    tx,
    done.map((t) => t.id),
  )
  return done.map((attempt) =>
    seenTry(attempt, items, rules, listed.terms, closings, answers.get(attempt.id) ?? new Map(), now),
  )
}

function seenTry(
  attempt: Attempt,
  items: readonly Item[],
  rules: AttemptRules,
  terms: LearnerTerms,
  closings: Closings,
  answers: ReadonlyMap<string, Answer>,
  now: Instant,
) {
  const feedback = isRevealed(rules.feedback, closings, now)
  const keys = isRevealed(rules.answers, closings, now)
  const { score } = attempt
  const submittedAt = attempt.submittedAt as Instant
  return {
    attemptId: attempt.id,
    number: attempt.number,
    submittedAt,
    endedBy: attempt.endedBy ?? 'learner',
    late: terms.due !== null && submittedAt >= terms.due,
    score:
      feedback && score
        ? {
            points: shownPoints(score.points),
            of: score.of,
            ratio: score.ratio,
            lateDays: score.lateDays,
            deductedRatio: score.deductedRatio,
          }
        : null,
    items: orderItems(items, rules.order, attempt).map((item) => ({
      item: forLearner(item),
      answer: answers.get(item.id) ?? null,
      ...(feedback
        ? {
            points: shownPoints(score?.items.find((s) => s.itemId === item.id)?.points ?? 0),
            feedback: item.feedback,
          }
        : {}),
      ...(keys ? { right: rightInWords(item) } : {}),
    })),
  }
}
