import { asId, ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, Instant, ItemId, PieceId, Result } from '#core/base'
import type { AccessRefusal, Learner } from '#core/access'
import {
  checkAnswers,
  itemsOf,
  itemsToBegin,
  mayChange,
  mayFinish,
  mayStart,
  orderItems,
} from '#core/attempts'
import type { AnswerChange, Attempt, AttemptRefusal, KeptAnswer } from '#core/attempts'
import { cardOfKind, isScoredByHand } from '#core/library'
import type { Item } from '#core/library'
import { isSupportItem, keptItems } from '#core/versions'
import { windowState } from '#core/availability'
import { tryTermsOf } from '#core/work'
import { addAttempt, attemptById, attemptsAt, goOnWith, publishedWorkFor } from '#db/repositories'
import type { Connection, OwnTerms } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import { asTheirs, givenPiece } from '../settling/givenPiece'
import type { GivenPiece } from '../settling/givenPiece'
import { openTry } from './shownTry'
import { cardAt } from './myWork'
import { endTry, settleOverdue, settleTeam } from '../settling/settleOverdue'
import { isAmong, tryOfTeam } from '../settling/team'

export type TryRefusal = AccessRefusal | AttemptRefusal
/** Changes of a try's answers. */
export interface Saves {
  readonly attemptId: AttemptId
  readonly saves: readonly AnswerChange[]
}

/** Starts a try, or goes on with the one in progress: two requests at once get the same try. */
export async function startTry(
  deps: Deps,
  actor: Learner,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId },
) {
  await settleOverdue(deps, { learnerId: actor.userId })
  await settleTeam(deps, of.assignmentId)
  const now = deps.clock.now()
  return writing(deps.store, async (tx) => {
    const work = await publishedWorkFor(tx, of, actor.userId)
    const state = work ? windowState(work.terms, now).state : 'not-listed'
    if (!work || state === 'not-listed' || state === 'put-away')
      return refuse({ code: 'access/not-found' as const, what: 'work' })
    const tries = await attemptsAt(tx, of, actor.userId)
    // who has begun goes on with the form of the piece that they know
    const known = tries.at(-1)
    const given = asTheirs(await givenPiece(tx, known ?? { ...of, learnerId: actor.userId }), work)
    const current = tries.find((t) => t.submittedAt === null)
    const open = current ?? (await tryOfTeam(tx, of, given, actor.userId))
    if (open) return ok({ ...(await openTry(tx, open, { given, terms: work.terms, now })), now })
    const may = mayStart(tries, tryTermsOf(work, given.isRead), given.rules, now)
    if (!may.ok) return may
    const card = (await cardAt(tx, { learnerId: actor.userId, at: now }, of.assignmentId))?.work.pieces.find(
      (p) => p.pieceId === of.pieceId,
    )
    if (card?.blockedBy)
      return refuse({
        code: 'attempts/first-things-first' as const,
        field: 'assignmentId' as const,
        title: card.blockedBy.title,
      })
    const { assignmentId, pieceId } = of
    const which = { assignmentId, pieceId, learnerId: actor.userId, number: may.value.number }
    const attempt: Attempt = {
      id: asId<AttemptId>(deps.ids.newId()),
      ...which,
      revision: known?.revision ?? work.version?.instead?.revision ?? given.piece.revision,
      itemIds: given.isRead ? null : itemsOfVersion(given, which, tries),
      startedAt: now,
      deadlineAt: may.value.deadlineAt,
      submittedAt: null,
      endedBy: null,
      score: null,
      sharedFrom: null,
    }
    await addAttempt(tx, attempt)
    const { kind, items } = given.resource
    const { isRevised, isOwnCopy } = cardOfKind(kind)
    if (known && isRevised) {
      const goesAlong = (i: Item) => isOwnCopy || isScoredByHand(i) || isSupportItem(i)
      const itemIds = items.filter(goesAlong).map((i) => i.id)
      await goOnWith(tx, { from: known.id, to: attempt.id, itemIds, at: now })
    }
    return ok({ ...(await openTry(tx, attempt, { given, terms: work.terms, now })), now })
  })
}

/**
 * The items with which a try of a version begins; null: all of the piece. What there is to fill in of the support
 * comes first, and fewer questions are asked where the version says so.
 */
function itemsOfVersion(
  { resource, rules, kept }: GivenPiece,
  which: Parameters<typeof itemsToBegin>[2],
  tries: readonly Attempt[],
): readonly ItemId[] | null {
  const bank = resource.items.filter((item) => !isSupportItem(item))
  const toFill = resource.items.filter(isSupportItem)
  const begun = itemsToBegin(bank, rules, which, tries)
  if (rules.items.kind === 'adaptive' || (toFill.length === 0 && kept.kind === 'all')) return begun
  const asked =
    begun === null
      ? orderItems(keptItems(bank, kept), rules.order, which)
      : bank.filter((item) => begun.includes(item.id))
  return [...toFill, ...asked].map((item) => item.id)
}

/** A try of the actor, or of their team, that may still be changed, with its items. Somebody else's is not found. */
export async function changeable(
  tx: Connection,
  actor: Learner,
  attemptId: AttemptId,
  now: Instant,
): Promise<
  Result<{ readonly attempt: Attempt; readonly work: OwnTerms; readonly given: GivenPiece }, TryRefusal>
> {
  const attempt = await attemptById(tx, attemptId)
  if (!attempt) return refuse({ code: 'access/not-found', what: 'try' })
  const given = await givenPiece(tx, attempt)
  if (!isAmong(given.teams, actor.userId, attempt.learnerId))
    return refuse({ code: 'access/not-found', what: 'try' })
  const own = await publishedWorkFor(tx, attempt, actor.userId)
  const isOwn = attempt.learnerId === actor.userId
  const work = own && !isOwn ? await publishedWorkFor(tx, attempt, attempt.learnerId) : own
  if (!work) return refuse({ code: 'access/not-found', what: 'work' })
  const may = mayChange(attempt, tryTermsOf(work, given.isRead), now)
  return may.ok ? ok({ attempt, work, given: asTheirs(given, work) }) : may
}

/** What stands after saves: all that was sent, except where something newer stood already. */
export interface AnswersSaved {
  readonly savedAt: Instant
  /** Every answer that was sent, as it stands now. */
  readonly stands: readonly KeptAnswer[]
  /** Those of them that another page had changed: what was sent is not kept. */
  readonly stale: readonly ItemId[]
}

/**
 * Saves answers; once acknowledged they outlive any crash. One that was made from an older answer than stands
 * is left out, and the reply says what stands instead.
 */
export async function saveAnswers(
  deps: Deps,
  actor: Learner,
  { attemptId, saves }: Saves,
): Promise<Result<AnswersSaved, TryRefusal>> {
  const now = deps.clock.now()
  const found = await changeable(deps.store.read, actor, attemptId, now)
  if (!found.ok) return found
  const { attempt, given } = found.value
  const fits = checkAnswers(itemsOf(given.resource.items, attempt, 'as-written'), saves)
  if (!fits.ok) return fits
  if (saves.length === 0) return ok({ savedAt: now, stands: [], stale: [] })
  const saved = await deps.store.saveAnswers({ attemptId, changes: saves, savedAt: now })
  if (saved === null) return refuse({ code: 'attempts/already-handed-in', field: 'attemptId' })
  return ok({
    savedAt: now,
    stands: saved.map((s) => s.stands),
    stale: saved.filter((s) => s.taken === 'stale').map((s) => s.stands.itemId),
  })
}

/** Saves what comes along with an act. Refused, too, when something newer stands: the learner chooses first. */
export async function sendAlong(deps: Deps, actor: Learner, input: Saves): Promise<Result<true, TryRefusal>> {
  if (input.saves.length === 0) return ok(true)
  const saved = await saveAnswers(deps, actor, input)
  if (!saved.ok) return saved
  const stale = new Set(saved.value.stale)
  const stands = saved.value.stands.filter((s) => stale.has(s.itemId))
  return stands.length > 0
    ? refuse({ code: 'attempts/answered-elsewhere', field: 'saves', stands })
    : ok(true)
}

type HandedIn = Result<{ readonly assignmentId: AssignmentId; readonly submittedAt: Instant }, TryRefusal>

/**
 * Hands in a try, or says that a piece is read. Doing it again, or twice at once, gives the same answer and changes
 * nothing. Refused when an answer that comes along was made from an older one than stands: the learner chooses first.
 */
export async function handIn(deps: Deps, actor: Learner, input: Saves): Promise<HandedIn> {
  // it counts when it came, however long the answers that came along had to wait
  const now = deps.clock.now()
  const sent = await sendAlong(deps, actor, input)
  if (!sent.ok && sent.error.code !== 'attempts/already-handed-in') return sent
  return writing(deps.store, async (tx): Promise<HandedIn> => {
    const found = await changeable(tx, actor, input.attemptId, now)
    if (found.ok) {
      const { attempt: own, work, given } = found.value
      const may = given.isRead ? mayFinish(own, given.piece.leastMinutes, now) : ok(true as const)
      if (!may.ok) return may
      await endTry(tx, deps, { attempt: own, work }, { at: now, endedBy: 'learner' })
      return ok({ assignmentId: own.assignmentId, submittedAt: now })
    }
    const attempt = await attemptById(tx, input.attemptId)
    if (found.error.code === 'attempts/already-handed-in' && attempt?.submittedAt)
      return ok({ assignmentId: attempt.assignmentId, submittedAt: attempt.submittedAt })
    return found
  })
}
