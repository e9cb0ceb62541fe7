import { asId, ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, Instant, ItemId, PieceId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { checkAnswer, mayChange, mayFinish, mayStart } from '#core/attempts'
import type { AnswerChange, Attempt, AttemptRefusal, StandingAnswer } from '#core/attempts'
import type { Item } from '#core/library'
import { windowState } from '#core/availability'
import { addAttempt, attemptById, attemptsAt, publishedWorkFor } from '#db/repositories'
import type { LearnerWork } from '#core/work'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { givenPiece, tryTermsOf } from './givenPiece'
import type { GivenPiece } from './givenPiece'
import { openTry } from './myPiece'
import { endTry, settleOverdue } from './settleOverdue'

type TryRefusal = AccessRefusal | AttemptRefusal
/** Changes of a try's answers. */
export interface Saves {
  readonly attemptId: AttemptId
  readonly saves: readonly AnswerChange[]
}

/** Starts a try, or goes on with the one in progress: two requests at once get the same try. */
export async function startTry(
  deps: Deps,
  actor: Actor,
  of: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId },
) {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' as const })
  await settleOverdue(deps, { learnerId: actor.userId })
  const now = deps.clock.now()
  return writing(deps.store, async (tx) => {
    const work = await publishedWorkFor(tx, of, actor.userId)
    const state = work ? windowState(work.terms, now).state : 'not-listed'
    if (!work || state === 'not-listed' || state === 'put-away')
      return refuse({ code: 'access/not-found' as const, what: 'work' })
    const tries = await attemptsAt(tx, of, actor.userId)
    // who has begun goes on with the form of the piece that they know
    const known = tries.at(-1)
    const given = await givenPiece(tx, known ?? of)
    const { rules, resource } = given
    const current = tries.find((t) => t.submittedAt === null)
    if (current) return ok({ ...(await openTry(tx, current, resource.items, rules)), now })
    const may = mayStart(tries, tryTermsOf(work, given.isRead), rules, now)
    if (!may.ok) return may
    const attempt: Attempt = {
      id: asId<AttemptId>(deps.ids.newId()),
      assignmentId: of.assignmentId,
      pieceId: of.pieceId,
      revision: known?.revision ?? given.piece.revision,
      learnerId: actor.userId,
      number: may.value.number,
      startedAt: now,
      deadlineAt: may.value.deadlineAt,
      submittedAt: null,
      endedBy: null,
      score: null,
    }
    await addAttempt(tx, attempt)
    return ok({ ...(await openTry(tx, attempt, resource.items, rules)), now })
  })
}

/** The actor's own try that may still be changed, with its items. Somebody else's is not found. */
async function changeable(
  tx: Connection,
  actor: Actor,
  attemptId: AttemptId,
  now: Instant,
): Promise<
  Result<{ readonly attempt: Attempt; readonly work: LearnerWork; readonly given: GivenPiece }, TryRefusal>
> {
  const attempt = await attemptById(tx, attemptId)
  if (!attempt || attempt.learnerId !== actor.userId) return refuse({ code: 'access/not-found', what: 'try' })
  const work = await publishedWorkFor(tx, attempt, actor.userId)
  if (!work) return refuse({ code: 'access/not-found', what: 'work' })
  const given = await givenPiece(tx, attempt)
  const may = mayChange(attempt, tryTermsOf(work, given.isRead), now)
  return may.ok ? ok({ attempt, work, given }) : may
}

function checkSaves(items: readonly Item[], saves: readonly AnswerChange[]): Result<true, AttemptRefusal> {
  for (const { itemId, answer } of saves) {
    const fits = checkAnswer(items, itemId, answer)
    if (!fits.ok) return fits
  }
  return ok(true)
}

/** What stands after saves: all that was sent, except where something newer stood already. */
export interface AnswersSaved {
  readonly savedAt: Instant
  /** Every answer that was sent, as it stands now. */
  readonly stands: readonly StandingAnswer[]
  /** Those of them that another page had changed: what was sent is not kept. */
  readonly stale: readonly ItemId[]
}

/**
 * Saves answers; once acknowledged they outlive any crash. One that was made from an older answer than stands
 * is left out, and the reply says what stands instead.
 */
export async function saveAnswers(
  deps: Deps,
  actor: Actor,
  { attemptId, saves }: Saves,
): Promise<Result<AnswersSaved, TryRefusal>> {
  const now = deps.clock.now()
  const found = await changeable(deps.store.read, actor, attemptId, now)
  if (!found.ok) return found
  const fits = checkSaves(found.value.given.resource.items, saves)
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

type HandedIn = Result<{ readonly assignmentId: AssignmentId; readonly submittedAt: Instant }, TryRefusal>

/**
 * Hands in a try, or says that a piece is read. Doing it again, or twice at once, gives the same answer and changes
 * nothing. Refused when an answer that comes along was made from an older one than stands: the learner chooses first.
 */
export async function handIn(deps: Deps, actor: Actor, input: Saves): Promise<HandedIn> {
  if (input.saves.length > 0) {
    const saved = await saveAnswers(deps, actor, input)
    if (!saved.ok && saved.error.code !== 'attempts/already-handed-in') return saved
    const stale = new Set(saved.ok ? saved.value.stale : [])
    const stands = saved.ok ? saved.value.stands.filter((s) => stale.has(s.itemId)) : []
    if (stands.length > 0) return refuse({ code: 'attempts/answered-elsewhere', field: 'saves', stands })
  }
  const now = deps.clock.now()
  return writing(deps.store, async (tx): Promise<HandedIn> => {
    const found = await changeable(tx, actor, input.attemptId, now)
    if (found.ok) {
      const { attempt: own, work, given } = found.value
      const may = given.isRead ? mayFinish(own, given.piece.leastMinutes, now) : ok(true as const)
      if (!may.ok) return may
      await endTry(tx, own, work, { at: now, endedBy: 'learner' })
      return ok({ assignmentId: own.assignmentId, submittedAt: now })
    }
    const attempt = await attemptById(tx, input.attemptId)
    if (found.error.code === 'attempts/already-handed-in' && attempt?.submittedAt)
      return ok({ assignmentId: attempt.assignmentId, submittedAt: attempt.submittedAt })
    return found
  })
}
