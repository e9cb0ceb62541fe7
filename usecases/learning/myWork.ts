import { ok, refuse } from '#core/base'
import type { AssignmentId, Instant, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { isRevealed, keptScore, mayStart, orderItems, placeOf, shownPoints } from '#core/attempts'
import { forLearner, rightInWords } from '#core/library'
import type { Attempt, AttemptRules, Closings } from '#core/attempts'
import { windowState } from '#core/availability'
import type { LearnerTerms } from '#core/availability'
import type { Answer, Item } from '#core/library'
import {
  answersOf,
  assignmentById,
  attemptsAt,
  attemptsOfLearner,
  classById,
  classesOfLearner,
  closesForAll,
  listedWorkFor,
  resourceById,
  revisionsOf,
  yearsById,
} from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { settleOverdue } from './settleOverdue'

type Listed = Awaited<ReturnType<typeof listedWorkFor>>[number]

/** The learner's work that is listed now, each in its place. */
export async function listMyWork(deps: Deps, actor: Actor) {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const now = deps.clock.now()
  await settleOverdue(deps, { learnerId: actor.userId })
  const listed = await listedWorkFor(tx, actor.userId, now)
  const tries = await attemptsOfLearner(
    tx,
    actor.userId,
    listed.map((w) => w.assignmentId),
  )
  const closings = await closingsOf(tx, listed, now)
  const work = listed.map((w) =>
    cardOf(
      w,
      tries.filter((t) => t.assignmentId === w.assignmentId),
      closings(w),
      now,
    ),
  )
  return ok({
    work: work.sort((a, b) => (a.dueAt ?? a.opensAt ?? Infinity) - (b.dueAt ?? b.opensAt ?? Infinity)),
    now,
    zone: await zoneFor(tx, actor),
  })
}

/** The zone in which a learner's dates are read: their first class's. */
async function zoneFor(tx: Connection, actor: Actor): Promise<string> {
  const [classId] = await classesOfLearner(tx, actor.userId)
  const record = classId ? await classById(tx, classId) : null
  return (record ? (await yearsById(tx, [record.yearId])).get(record.yearId)?.year.zone : null) ?? 'UTC'
}

/**
 * When each piece closes for its learner and for everybody; looked up only where the learner's own closing is
 * past, since nothing is shown before.
 */
async function closingsOf(
  tx: Connection,
  listed: readonly Listed[],
  now: Instant,
): Promise<(w: Listed) => Closings> {
  const past = listed.filter((w) => w.terms.closes !== null && w.terms.closes <= now)
  const all = await closesForAll(
    tx,
    past.map((w) => w.assignmentId),
  )
  return (w) => ({ own: w.terms.closes, all: all.get(w.assignmentId) ?? null })
}

function cardOf(w: Listed, tries: readonly Attempt[], closings: Closings, now: Instant) {
  const { opens, due, closes, maxAttempts, timeLimitMinutes } = w.terms
  const { state } = windowState(w.terms, now)
  const inProgress = tries.some((t) => t.submittedAt === null)
  const handedInAt = tries.reduce<Instant | null>(
    (at, t) => (t.submittedAt !== null && (at === null || t.submittedAt > at) ? t.submittedAt : at),
    null,
  )
  const shown = isRevealed(w.rules.feedback, closings, now)
  return {
    id: w.assignmentId,
    title: w.title,
    note: w.note,
    kind: w.kind,
    minutes: w.minutes,
    itemCount: w.itemCount,
    className: w.className,
    state,
    place: placeOf({
      notYetOpen: state === 'coming-up',
      over: state === 'closed',
      inProgress,
      handedIn: handedInAt !== null,
    }),
    opensAt: opens,
    dueAt: due,
    closesAt: closes,
    triesUsed: tries.length,
    triesMost: maxAttempts,
    timeLimitMinutes,
    inProgress,
    handedInAt,
    ratio: shown ? keptScore(tries, w.rules.kept) : null,
    mayTry:
      inProgress ||
      mayStart(
        tries,
        { opensAt: opens, dueAt: due, closesAt: closes, maxAttempts, timeLimitMinutes },
        w.rules,
        now,
      ).ok,
  }
}

/**
 * The listed work of one learner, or not found: held, withdrawn, not yet listed and other people's work look
 * the same.
 */
async function listedPiece(
  tx: Connection,
  actor: Actor,
  assignmentId: AssignmentId,
  now: Instant,
): Promise<Result<Listed, AccessRefusal>> {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' })
  const found = (await listedWorkFor(tx, actor.userId, now)).find((w) => w.assignmentId === assignmentId)
  return found ? ok(found) : refuse({ code: 'access/not-found', what: 'work' })
}

/** One piece: its text once open, the try in progress, and handed-in tries with as much as the rules show. */
export async function showMyPiece(deps: Deps, actor: Actor, assignmentId: AssignmentId) {
  const tx = deps.store.read
  const now = deps.clock.now()
  if (actor.role === 'learner') await settleOverdue(deps, { learnerId: actor.userId })
  const found = await listedPiece(tx, actor, assignmentId, now)
  if (!found.ok) return found
  const record = await assignmentById(tx, assignmentId)
  const piece = record ? await resourceById(tx, record.resourceId) : null
  if (!record || !piece) throw new Error('assignment without its piece')
  const tries = await attemptsAt(tx, assignmentId, actor.userId)
  const answers = await answersOf(
    tx,
    tries.map((t) => t.id),
  )
  const closings = (await closingsOf(tx, [found.value], now))(found.value)
  const work = cardOf(found.value, tries, closings, now)
  const begun = work.state !== 'coming-up'
  const current = tries.find((t) => t.submittedAt === null) ?? null
  const start = mayStart(
    tries,
    {
      opensAt: work.opensAt,
      dueAt: work.dueAt,
      closesAt: work.closesAt,
      maxAttempts: work.triesMost,
      timeLimitMinutes: work.timeLimitMinutes,
    },
    record.rules,
    now,
  )
  return ok({
    work,
    content: begun ? piece.resource.content : '',
    now,
    zone: await zoneFor(tx, actor),
    open: current ? await openTry(tx, current, piece.resource.items, record.rules) : null,
    seen: tries
      .filter((t) => t.submittedAt !== null)
      .map((t) =>
        seenTry(
          t,
          piece.resource.items,
          record.rules,
          found.value.terms,
          closings,
          answers.get(t.id) ?? new Map(),
          now,
        ),
      ),
    kept: record.rules.kept,
    feedbackWhen: record.rules.feedback,
    answersWhen: record.rules.answers,
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
