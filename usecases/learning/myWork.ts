import { groupBy, ok } from '#core/base'
import type { AssignmentId, Instant, UserId } from '#core/base'
import type { Learner } from '#core/access'
import {
  endingOf,
  isRevealed,
  keptScore,
  mayStart,
  passingOf,
  pieceName,
  placeOf,
  triesAsOf,
} from '#core/attempts'
import type { Closings, TryInShort } from '#core/attempts'
import { windowState } from '#core/availability'
import { foldedName } from '#core/filing'
import { aboutForLearners, inOrder, togetherOf, withBlocks } from '#core/work'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { closesForAll, screenFor, zoneOfLearner } from '#db/repositories'
import type { Connection, LearnerScreen, ListedPiece } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { tryTermsOf } from '../settling/givenPiece'
import { newsSince } from './newsSince'
import { settleOverdue } from '../settling/settleOverdue'

export type Listed = ListedPiece

/** Whose screen is looked at, as of when, and which of their work it shows; all, when nothing is said. */
export interface Look {
  readonly learnerId: UserId
  readonly at: Instant
  readonly shows?: (w: Listed) => boolean
}

/** The learner's work that is listed now, each in its place. */
export async function listMyWork(deps: Deps, actor: Learner) {
  const tx = deps.store.read
  const now = deps.clock.now()
  const look = { learnerId: actor.userId, at: now }
  const before = await screenAt(tx, look)
  const hasEnded = mayBeOverdue(before, now) && (await settleOverdue(deps, { learnerId: actor.userId }))
  const screen = hasEnded ? await screenAt(tx, look) : before
  const work = (await cardsOf(tx, screen, now)).sort(byTurn)
  const { unread, headings } = screen
  return ok({ work, unread, headings, now, zone: screen.zone ?? 'UTC' })
}

/** Whether a try that goes on may have to be ended; of work that is not on the screen, that is not known. */
function mayBeOverdue({ listed, tries }: LearnerScreen, now: Instant): boolean {
  const open = tries.filter((t) => t.submittedAt === null)
  return open.some((t) => {
    const row = listed.find((w) => w.assignmentId === t.assignmentId && w.pieceId === t.pieceId)
    return row === undefined || endingOf(t, tryTermsOf(row, false), now) !== null
  })
}

/** A learner's list as it is at an instant, in the order in which they find it; of the headings those it uses. */
export async function listAt(tx: Connection, look: Look) {
  const screen = await screenAt(tx, look)
  const work = (await cardsOf(tx, screen, look.at)).sort(byTurn)
  const used = new Set(work.map((w) => foldedName(w.about.heading)))
  return { work, headings: screen.headings.filter((h) => used.has(foldedName(h))) }
}

async function screenAt(tx: Connection, { learnerId, at, shows }: Look): Promise<LearnerScreen> {
  const screen = await screenFor(tx, learnerId, { now: at, since: newsSince(at) })
  return shows ? { ...screen, listed: screen.listed.filter(shows) } : screen
}

/** What comes first first, then what is due, or opens, soonest. */
function byTurn(a: LearnerCard, b: LearnerCard): number {
  const isAhead = (c: LearnerCard) => c.isFirst && c.place === 'now'
  if (isAhead(a) !== isAhead(b)) return isAhead(a) ? -1 : 1
  const atOf = (c: LearnerCard) => c.dueAt ?? c.opensAt ?? Infinity
  if (atOf(a) !== atOf(b)) return atOf(a) - atOf(b)
  // the same order at every look
  return a.id < b.id ? -1 : 1
}

/** Listed pieces as cards, those of an assignment together. */
async function cardsOf(
  tx: Connection,
  { listed, tries }: Pick<LearnerScreen, 'listed' | 'tries'>,
  now: Instant,
): Promise<LearnerCard[]> {
  const triesOf = groupBy(tries, pieceName)
  // the list shows scores only, no answers
  const waiting = listed.filter((w) => w.rules.feedback === 'close')
  const closings = await closingsOf(tx, waiting, now)
  const cards = [...groupBy(listed, (w) => w.assignmentId).values()].flatMap((rows) => {
    const [first] = rows
    if (!first) return []
    const { assignmentId, title, note, classId, className, isFirst, inTurn, series } = first
    const about = aboutForLearners(first.about)
    const pieces = inOrder(rows).map((w) => cardOf(w, triesOf.get(pieceName(w)) ?? [], closings(w), now))
    const said = { title, note, about, isFirst, inTurn, classId, className, series }
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
  const { listed, tries } = await screenAt(tx, look)
  const rows = listed.filter((w) => w.assignmentId === assignmentId)
  const around = listed.filter((w) => w.assignmentId === assignmentId || w.isFirst)
  const work = (await cardsOf(tx, { listed: around, tries }, look.at)).find((c) => c.id === assignmentId)
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
  const all = await closesForAll(tx, past)
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
