import { isRevealed, pieceName } from '#core/attempts'
import type { Instant, ResourceId, UserId } from '#core/base'
import { screenFor } from '#db/repositories'
import type { Connection } from '#db/repositories'
import { closingsOf } from './myWork'
import { newsSince } from './newsSince'

/**
 * The title of a learner's work that gives a piece out and does not show its right answers yet; null: there is none.
 * What shows them after each question holds nothing back.
 */
export async function workHoldingBack(
  tx: Connection,
  of: { readonly learnerId: UserId; readonly resourceId: ResourceId; readonly now: Instant },
): Promise<string | null> {
  const { now } = of
  const { listed, tries } = await screenFor(tx, of.learnerId, { now, since: newsSince(now) })
  const giving = listed.filter((w) => w.resourceId === of.resourceId && w.rules.answers !== 'item')
  const closings = await closingsOf(tx, giving, now)
  const handedIn = new Set(tries.filter((t) => t.submittedAt !== null).map(pieceName))
  const isShown = (w: (typeof giving)[number]) =>
    handedIn.has(pieceName(w)) && isRevealed(w.rules.answers, closings(w), now)
  return giving.find((w) => !isShown(w))?.title ?? null
}
