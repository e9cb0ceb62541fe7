import { ok, refuse } from '#core/base'
import type { AssignmentId, Instant, ItemId, PieceId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { doneFrom, isRevealed, itemsOf, mayStart, shownPoints } from '#core/attempts'
import type { Attempt, AttemptRules, Closings } from '#core/attempts'
import type { LearnerTerms } from '#core/availability'
import { forLearner, rightInWords, scoreItem } from '#core/library'
import type { Answer, Item } from '#core/library'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { answersOf, attemptsAt, exampleFor, writtenIn } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { givenPiece, isAdaptive, tryTermsOf } from './givenPiece'
import type { GivenPiece } from './givenPiece'
import { cardAt, closingsOf, zoneFor } from './myWork'
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
  const known = await cardAt(tx, actor, of.assignmentId, now)
  const pieces = known?.work.pieces ?? []
  const next = pieces.find((p) => p.place === 'now' && p.blockedBy === null)
  const card =
    of.pieceId === null
      ? (next ?? pieces.find((p) => p.place === 'now') ?? pieces[0])
      : pieces.find((p) => p.pieceId === of.pieceId)
  const listed = known?.rows.find((w) => w.pieceId === card?.pieceId)
  return known && card && listed
    ? ok({ work: known.work, card, listed })
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
  const given = await givenPiece(tx, tries.at(-1) ?? listed)
  const { piece, rules, resource, isRead } = given
  const current = tries.find((t) => t.submittedAt === null) ?? null
  const start = mayStart(tries, tryTermsOf(listed, isRead), rules, now)
  const isOpen = card.state !== 'coming-up' && card.blockedBy === null
  return ok({
    work,
    piece: card,
    content: isOpen ? resource.content : '',
    now,
    zone: await zoneFor(tx, actor),
    open: current && !isRead ? await openTry(tx, current, given) : null,
    reading:
      current && isRead ? { attemptId: current.id, doneFrom: doneFrom(current, piece.leastMinutes) } : null,
    seen: await seenTries(tx, tries, listed, { rules, items: resource.items }, now),
    kept: rules.kept,
    feedbackWhen: rules.feedback,
    answersWhen: rules.answers,
    waitUntil: !start.ok && start.error.code === 'attempts/wait' ? start.error.until : null,
  })
}

/** How a try in progress goes on: all at once, each item looked at when wished, or one after another. */
function modeOf({ rules }: GivenPiece, attempt: Attempt): 'all' | 'item-by-item' | 'one-after-another' {
  if (isAdaptive(rules, attempt)) return 'one-after-another'
  return rules.feedback === 'item' || rules.answers === 'item' ? 'item-by-item' : 'all'
}

/**
 * A try in progress with its items in the learner's order, without keys, except what the rules show of items that were
 * given for good.
 */
export async function openTry(tx: Connection, attempt: Attempt, given: GivenPiece) {
  const { rules, resource } = given
  const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map<ItemId, Answer>()
  const { revisions, final } = await writtenIn(tx, attempt.id)
  const items = itemsOf(resource.items, attempt, rules.order)
  const fixed = items
    .filter((item) => final.has(item.id))
    .map((item) => [item.id, seenWhileOpen(item, answers.get(item.id), rules)])
  const hasExample = rules.help.includes('worked-example')
  return {
    attemptId: attempt.id,
    number: attempt.number,
    deadlineAt: attempt.deadlineAt,
    items: items.map((item) => forLearner(item, rules.help.includes('hints'))),
    answers: Object.fromEntries(answers),
    revisions: Object.fromEntries(revisions),
    mode: modeOf(given, attempt),
    most: rules.items.kind === 'adaptive' ? Math.min(rules.items.most, resource.items.length) : null,
    fixed: Object.fromEntries(fixed) as Readonly<Record<ItemId, SeenWhileOpen>>,
    help: rules.help,
    example: hasExample ? await exampleFor(tx, resource.id) : null,
  }
}

/** What of an item that was given for good is shown at once. */
interface SeenWhileOpen {
  readonly points?: number
  readonly feedback?: string
  readonly right?: string
}

function seenWhileOpen(item: Item, answer: Answer | undefined, rules: AttemptRules): SeenWhileOpen {
  return {
    ...(rules.feedback === 'item'
      ? { points: shownPoints(scoreItem(item, answer)), feedback: item.feedback }
      : {}),
    ...(rules.answers === 'item' ? { right: rightInWords(item) } : {}),
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
            isEstimate: score.estimate !== undefined,
          }
        : null,
    items: itemsOf(items, attempt, rules.order).map((item) => ({
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
