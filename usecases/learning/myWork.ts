import { groupBy, ok, refuse } from '#core/base'
import type { AssignmentId, Instant, UserId } from '#core/base'
import type { Actor } from '#core/access'
import { isRevealed, keptScore, mayStart, passingOf, pieceName, placeOf, triesAsOf } from '#core/attempts'
import type { Closings, TryInShort } from '#core/attempts'
import { windowState } from '#core/availability'
import { inOrder, togetherOf, withBlocks } from '#core/work'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { triesOfLearner, closesForAll, listedWorkFor, unreadNotices, zoneOfLearner } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { tryTermsOf } from './givenPiece'
import { newsSince } from '../notices/since'
import { settleOverdue } from './settleOverdue'

export type Listed = Awaited<ReturnType<typeof listedWorkFor>>[number]

/** Whose screen is looked at, as of when, and which of their work it shows; all, when nothing is said. */
export interface Look {
  readonly learnerId: UserId
  readonly at: Instant
  readonly shows?: (w: Listed) => boolean
}

/** The learner's work that is listed now, each in its place. */
export async function listMyWork(deps: Deps, actor: Actor) {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' as const })
  const tx = deps.store.read
  const now = deps.clock.now()
  await settleOverdue(deps, { learnerId: actor.userId })
  const work = await listAt(tx, { learnerId: actor.userId, at: now })
  const unread = await unreadNotices(tx, actor.userId, { now, since: newsSince(now) })
  return ok({ work, unread, now, zone: await zoneFor(tx, actor.userId) })
}

/** A learner's list as it is at an instant, in the order in which they find it. */
export async function listAt(tx: Connection, look: Look): Promise<readonly LearnerCard[]> {
  return (await cardsOf(tx, look, await listedAt(tx, look))).sort(byTurn)
}

async function listedAt(tx: Connection, { learnerId, at, shows }: Look): Promise<readonly Listed[]> {
  const listed = await listedWorkFor(tx, learnerId, at)
  return shows ? listed.filter(shows) : listed
}

/** What comes first first, then what is due, or opens, soonest. */
function byTurn(a: LearnerCard, b: LearnerCard): number {
  const isAhead = (c: LearnerCard) => c.isFirst && c.place === 'now'
  if (isAhead(a) !== isAhead(b)) return isAhead(a) ? -1 : 1
  return (a.dueAt ?? a.opensAt ?? Infinity) - (b.dueAt ?? b.opensAt ?? Infinity)
}

/** Listed pieces as cards, those of an assignment together. */
async function cardsOf(
  tx: Connection,
  { learnerId, at: now }: Look,
  listed: readonly Listed[],
): Promise<LearnerCard[]> {
  const ids = [...new Set(listed.map((w) => w.assignmentId))]
  const triesOf = groupBy(await triesOfLearner(tx, learnerId, ids), pieceName)
  // the list shows scores only, no answers
  const waiting = listed.filter((w) => w.rules.feedback === 'close')
  const closings = await closingsOf(tx, waiting, now)
  const cards = [...groupBy(listed, (w) => w.assignmentId).values()].flatMap((rows) => {
    const [first] = rows
    if (!first) return []
    const { assignmentId, title, note, classId, className, isFirst, inTurn } = first
    const { category: _, ...about } = first.about
    const pieces = inOrder(rows).map((w) => cardOf(w, triesOf.get(pieceName(w)) ?? [], closings(w), now))
    const said = { title, note, about, isFirst, inTurn, classId, className }
    return { id: assignmentId, ...said, pieces, ...togetherOf(pieces) }
  })
  return withBlocks(cards)
}

/** One assignment as its learner may know it, with what of their other work it waits for; null: not listed. */
export async function cardAt(
  tx: Connection,
  look: Look,
  assignmentId: AssignmentId,
): Promise<{ readonly work: LearnerCard; readonly rows: readonly Listed[] } | null> {
  const listed = await listedAt(tx, look)
  const rows = listed.filter((w) => w.assignmentId === assignmentId)
  const around = listed.filter((w) => w.assignmentId === assignmentId || w.isFirst)
  const work = (await cardsOf(tx, look, around)).find((c) => c.id === assignmentId)
  return work ? { work, rows } : null
}

/** The zone in which a learner's dates are read: their first class's. */
export async function zoneFor(tx: Connection, learnerId: UserId): Promise<string> {
  return (await zoneOfLearner(tx, learnerId)) ?? 'UTC'
}

/**
 * When each piece closes for its learner and for everybody; looked up only where the learner's own closing is
 * past, since nothing is shown before.
 */
export async function closingsOf(
  tx: Connection,
  listed: readonly Listed[],
  now: Instant,
): Promise<(w: Listed) => Closings> {
  const past = listed.filter((w) => w.terms.closes !== null && w.terms.closes <= now)
  const all = await closesForAll(
    tx,
    past.map((w) => w.assignmentId),
  )
  return (w) => ({ own: w.terms.closes, all: all.get(pieceName(w)) ?? null })
}

function cardOf(w: Listed, all: readonly TryInShort[], closings: Closings, now: Instant): LearnerPiece {
  const { opens, due, closes } = w.terms
  const isRead = w.itemCount === 0
  const terms = tryTermsOf(w, isRead)
  const tries = triesAsOf(all, isRead ? null : terms, now)
  const { state } = windowState(w.terms, now)
  const isOpen = tries.some((t) => t.submittedAt === null)
  const inProgress = isOpen && !isRead
  const handedInAt = tries.reduce<Instant | null>(
    (at, t) => (t.submittedAt !== null && (at === null || t.submittedAt > at) ? t.submittedAt : at),
    null,
  )
  const earlier = isRead ? tries.filter((t) => t.submittedAt !== null) : tries
  const mayTry = inProgress || mayStart(earlier, terms, w.rules, now).ok
  const ratio = isRevealed(w.rules.feedback, closings, now) ? keptScore(tries, w.rules.kept) : null
  return {
    pieceId: w.pieceId,
    title: w.pieceTitle,
    kind: w.kind,
    when: w.when,
    minutes: w.minutes,
    itemCount: w.itemCount,
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
    triesUsed: isRead ? 0 : tries.length,
    triesMost: terms.maxAttempts,
    timeLimitMinutes: terms.timeLimitMinutes,
    inProgress,
    handedInAt,
    ratio,
    mayTry,
    passPercent: isRead ? null : w.rules.passPercent,
    passing: passingOf(ratio, w.rules),
    blockedBy: null,
  }
}
