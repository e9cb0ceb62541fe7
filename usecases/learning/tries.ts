import { asId, ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, Instant, ItemId, Result } from '#core/base'
import type { AccessRefusal, Actor } from '#core/access'
import { checkAnswer, mayChange, mayStart } from '#core/attempts'
import type { Attempt, AttemptRefusal } from '#core/attempts'
import type { Answer, Item } from '#core/library'
import { windowState } from '#core/availability'
import {
  addAttempt,
  answersOf,
  assignmentById,
  attemptById,
  attemptsAt,
  publishedWorkFor,
  resourceById,
} from '#db/repositories'
import type { LearnerWork } from '#core/work'
import type { Connection } from '#db/repositories'
import type { Deps } from '../deps'
import { writing } from '../rollback'
import { openTry } from './myWork'
import { endTry, settleOverdue, tryTermsOf } from './settleOverdue'

type TryRefusal = AccessRefusal | AttemptRefusal
export interface Save {
  readonly itemId: ItemId
  readonly answer: Answer
}

/** Starts a try, or goes on with the one in progress: two requests at once get the same try. */
export async function startTry(deps: Deps, actor: Actor, assignmentId: AssignmentId) {
  if (actor.role !== 'learner') return refuse({ code: 'access/denied' as const })
  await settleOverdue(deps, { learnerId: actor.userId })
  const now = deps.clock.now()
  return writing(deps.store, async (tx) => {
    const work = await publishedWorkFor(tx, assignmentId, actor.userId)
    const state = work ? windowState(work.terms, now).state : 'not-listed'
    if (!work || state === 'not-listed' || state === 'put-away')
      return refuse({ code: 'access/not-found' as const, what: 'work' })
    const record = await assignmentById(tx, assignmentId)
    const piece = record ? await resourceById(tx, record.resourceId) : null
    if (!record || !piece) throw new Error('assignment without its piece')
    const tries = await attemptsAt(tx, assignmentId, actor.userId)
    const current = tries.find((t) => t.submittedAt === null)
    if (current)
      return ok({
        ...openTry(
          current,
          piece.resource.items,
          record.rules,
          (await answersOf(tx, [current.id])).get(current.id) ?? new Map(),
        ),
        now,
      })
    const may = mayStart(tries, tryTermsOf(work), record.rules, now)
    if (!may.ok) return may
    const attempt: Attempt = {
      id: asId<AttemptId>(deps.ids.newId()),
      assignmentId,
      learnerId: actor.userId,
      number: may.value.number,
      startedAt: now,
      deadlineAt: may.value.deadlineAt,
      submittedAt: null,
      endedBy: null,
      score: null,
    }
    await addAttempt(tx, attempt)
    return ok({ ...openTry(attempt, piece.resource.items, record.rules, new Map()), now })
  })
}

/** The actor's own try that may still be changed, with its items. Somebody else's is not found. */
async function changeable(
  tx: Connection,
  actor: Actor,
  attemptId: AttemptId,
  now: Instant,
): Promise<
  Result<
    { readonly attempt: Attempt; readonly work: LearnerWork; readonly items: readonly Item[] },
    TryRefusal
  >
> {
  const attempt = await attemptById(tx, attemptId)
  if (!attempt || attempt.learnerId !== actor.userId) return refuse({ code: 'access/not-found', what: 'try' })
  const work = await publishedWorkFor(tx, attempt.assignmentId, actor.userId)
  const record = work ? await assignmentById(tx, attempt.assignmentId) : null
  const piece = record ? await resourceById(tx, record.resourceId) : null
  if (!work || !piece) return refuse({ code: 'access/not-found', what: 'work' })
  const may = mayChange(attempt, tryTermsOf(work), now)
  return may.ok ? ok({ attempt, work, items: piece.resource.items }) : may
}

function checkSaves(items: readonly Item[], saves: readonly Save[]): Result<true, AttemptRefusal> {
  for (const { itemId, answer } of saves) {
    const fits = checkAnswer(items, itemId, answer)
    if (!fits.ok) return fits
  }
  return ok(true)
}

/** Saves answers; once acknowledged they outlive any crash. All of them or none. */
export async function saveAnswers(
  deps: Deps,
  actor: Actor,
  input: { readonly attemptId: AttemptId; readonly saves: readonly Save[] },
): Promise<Result<{ readonly savedAt: Instant }, TryRefusal>> {
  const now = deps.clock.now()
  const found = await changeable(deps.store.read, actor, input.attemptId, now)
  if (!found.ok) return found
  const fits = checkSaves(found.value.items, input.saves)
  if (!fits.ok) return fits
  const kept =
    input.saves.length === 0 ||
    (await deps.store.saveAnswers(
      input.saves.map((s) => ({ ...s, attemptId: input.attemptId, savedAt: now })),
    ))
  return kept ? ok({ savedAt: now }) : refuse({ code: 'attempts/already-handed-in', field: 'attemptId' })
}

/** Hands in a try. Doing it again, or twice at once, gives the same answer and changes nothing. */
export async function handIn(
  deps: Deps,
  actor: Actor,
  input: { readonly attemptId: AttemptId; readonly saves: readonly Save[] },
): Promise<Result<{ readonly assignmentId: AssignmentId; readonly submittedAt: Instant }, TryRefusal>> {
  if (input.saves.length > 0) {
    const saved = await saveAnswers(deps, actor, input)
    if (!saved.ok && saved.error.code !== 'attempts/already-handed-in') return saved
  }
  const now = deps.clock.now()
  return writing(
    deps.store,
    async (
      tx,
    ): Promise<
      Result<{ readonly assignmentId: AssignmentId; readonly submittedAt: Instant }, TryRefusal>
    > => {
      const found = await changeable(tx, actor, input.attemptId, now)
      if (found.ok) {
        await endTry(tx, found.value.attempt, found.value.work, { at: now, endedBy: 'learner' })
        return ok({ assignmentId: found.value.attempt.assignmentId, submittedAt: now })
      }
      const attempt = await attemptById(tx, input.attemptId)
      if (found.error.code === 'attempts/already-handed-in' && attempt?.submittedAt)
        return ok({ assignmentId: attempt.assignmentId, submittedAt: attempt.submittedAt })
      return found
    },
  )
}
