import { ok, refuse, same } from '#core/base'
import type { AssignmentId, PieceId, Result } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import { doneFrom, materialShown, mayStart, triesAsOf } from '#core/attempts'
import type { Attempt } from '#core/attempts'
import { cardOfKind, NO_MATERIAL } from '#core/library'
import { NO_SUPPORT, isSupportItem, keptItems } from '#core/versions'
import type { Support } from '#core/versions'
import type { LearnerCard, LearnerPiece } from '#core/work'
import { tryTermsOf } from '#core/work'
import { attemptsAt } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from '../settling/givenPiece'
import type { GivenPiece } from '../settling/givenPiece'
import { filesHandedBy } from './handFiles'
import { cardAt, zoneFor } from './myWork'
import type { Listed, Look } from './myWork'
import { settleOverdue, settleTeam } from '../settling/settleOverdue'
import { openTry, seenTries } from './shownTry'
import { namesOfMates, tryOfTeam } from '../settling/team'

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
  look: Look,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId | null },
): Promise<Result<Found, AccessRefusal>> {
  const known = await cardAt(tx, look, of.assignmentId)
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

/** How many questions their version asks, where that is fewer than the piece has; null: as many. */
function askedIn({ resource, kept, rules }: GivenPiece, current: Attempt | null): number | null {
  if (kept.kind === 'all' || rules.items.kind !== 'all') return null
  const bank = resource.items.filter((item) => !isSupportItem(item))
  return current?.itemIds?.filter((id) => !isSupportItem({ id })).length ?? keptItems(bank, kept).length
}

/** What lies over a piece for a learner; null: nothing. */
function supportShown(support: Support): Support | null {
  return same(support, NO_SUPPORT) ? null : support
}

/** One piece of the actor's own work, as it is now. */
export async function showMyPiece(
  deps: Deps,
  actor: Learner,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId | null },
) {
  await settleOverdue(deps, { learnerId: actor.userId })
  await settleTeam(deps, of.assignmentId)
  return pieceAt(deps.store.read, { learnerId: actor.userId, at: deps.clock.now() }, of)
}

/** One piece: its text once open, the try in progress, and handed-in tries with as much as the rules show. */
export async function pieceAt(
  tx: Connection,
  look: Look,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId | null },
) {
  const { learnerId, at: now } = look
  const found = await listedPiece(tx, look, of)
  if (!found.ok) return found
  const { work, card, listed } = found.value
  const all = await attemptsAt(tx, listed, learnerId)
  // all tries of a learner have the form with which they began
  const given = {
    ...(await givenPiece(tx, all.at(-1) ?? { ...listed, learnerId })),
    rules: listed.rules,
  }
  const { piece, rules, resource, isRead } = given
  const terms = tryTermsOf(listed, isRead)
  const tries = triesAsOf(all, isRead ? null : terms, now)
  const ofTeam = (await tryOfTeam(tx, listed, given, learnerId)) ?? null
  // the lens on a past instant shows nothing that was begun later
  const joined = ofTeam !== null && ofTeam.startedAt <= now ? ofTeam : null
  const current = tries.find((t) => t.submittedAt === null) ?? joined
  const start = mayStart(tries, terms, rules, now)
  const isOpen = card.state !== 'coming-up' && card.blockedBy === null
  return ok({
    work,
    piece: {
      ...card,
      // who has another task in its place sees its name
      title: given.isParallel ? resource.title : card.title,
      itemCount: askedIn(given, current) ?? card.itemCount,
    },
    content: isOpen ? resource.content : '',
    material: isOpen ? materialShown(given.resource, given.rules) : NO_MATERIAL,
    support: isOpen ? supportShown(given.support) : null,
    now,
    zone: await zoneFor(tx, learnerId),
    open: current && !isRead ? await openTry(tx, current, { given, terms: listed.terms, now }) : null,
    reading:
      current && isRead ? { attemptId: current.id, doneFrom: doneFrom(current, piece.leastMinutes) } : null,
    seen: await seenTries(tx, tries, { listed, given, now }),
    files: cardOfKind(resource.kind).takesFiles
      ? await filesHandedBy(tx, listed, learnerId, given.teams)
      : null,
    mates: await namesOfMates(tx, given.teams, learnerId),
    kept: rules.kept,
    feedbackWhen: rules.feedback,
    answersWhen: rules.answers,
    waitUntil: !start.ok && start.error.code === 'attempts/wait' ? start.error.until : null,
  })
}
