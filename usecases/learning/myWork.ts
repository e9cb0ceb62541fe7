import { ok } from '#core/base'
import type { AssignmentId, Instant, UserId } from '#core/base'
import type { Learner } from '#core/access'
import { pieceName } from '#core/attempts'
import type { Closings } from '#core/attempts'
import { byTurn, learnerCards, mayBeOverdue } from '#core/agenda'
import { foldedName } from '#core/filing'
import type { LearnerCard } from '#core/work'
import { closesForAll, screenFor, zoneOfLearner } from '#db/repositories'
import type { Connection, LearnerScreen, ListedPiece } from '#db/repositories'
import type { Deps } from '../ground/deps'
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
  const hasEnded =
    mayBeOverdue(before.listed, before.tries, now) && (await settleOverdue(deps, { learnerId: actor.userId }))
  const screen = hasEnded ? await screenAt(tx, look) : before
  const work = byTurn(await cardsOf(tx, screen, now))
  const { unread, waiting, headings } = screen
  return ok({ work, unread, waiting, headings, now, zone: screen.zone ?? 'UTC' })
}

/** A learner's list as it is at an instant, in the order in which they find it; of the headings those it uses. */
export async function listAt(tx: Connection, look: Look) {
  const screen = await screenAt(tx, look)
  const work = byTurn(await cardsOf(tx, screen, look.at))
  const used = new Set(work.map((w) => foldedName(w.about.heading)))
  return { work, headings: screen.headings.filter((h) => used.has(foldedName(h))) }
}

async function screenAt(tx: Connection, { learnerId, at, shows }: Look): Promise<LearnerScreen> {
  const screen = await screenFor(tx, learnerId, { now: at, since: newsSince(at) })
  return shows ? { ...screen, listed: screen.listed.filter(shows) } : screen
}

/** Listed pieces as cards, those of an assignment together. */
async function cardsOf(
  tx: Connection,
  { listed, tries }: Pick<LearnerScreen, 'listed' | 'tries'>,
  now: Instant,
): Promise<readonly LearnerCard[]> {
  // the list shows scores only, no answers
  const waiting = listed.filter((w) => w.rules.feedback === 'close')
  const closings = await closingsOf(tx, waiting, now)
  return learnerCards(listed, { tries, closingsOf: closings, now })
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
): Promise<(w: Pick<Listed, 'assignmentId' | 'pieceId' | 'terms'>) => Closings> {
  const past = listed.filter((w) => w.terms.closes !== null && w.terms.closes <= now)
  const all = await closesForAll(tx, past)
  return (w) => ({ own: w.terms.closes, all: all.get(pieceName(w)) ?? null })
}
