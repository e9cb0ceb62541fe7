import { asId, instant, ok, refuse } from '#core/base'
import type { AttemptId, Instant, Result, UserId } from '#core/base'
import type { Attempt, AttemptRefusal } from '#core/attempts'
import type { AccessRefusal, Teacher } from '#core/access'
import { isScoredByHand } from '#core/library'
import { addAttempt, attemptsAt, fixAnswer, publishedWorkFor } from '#db/repositories'
import type { Connection, OwnTerms } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from '../settling/givenPiece'
import { endTry } from '../settling/settleOverdue'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { pieceOfClass } from './toScore'
import type { OfClass } from './toScore'

/** A text and who wrote it. */
export interface WrittenText {
  readonly learnerId: UserId
  readonly text: string
}
type Added = Result<{ readonly added: number }, AccessRefusal | AttemptRefusal>

/**
 * Takes over texts that learners of a class wrote elsewhere, as if each had handed theirs in; all of them or none. Who
 * has begun, or has handed in already, keeps what they have: then it is refused, and the learner is named.
 */
export async function addTexts(
  deps: Deps,
  actor: Teacher,
  input: OfClass & { readonly texts: readonly WrittenText[] },
): Promise<Added> {
  return writing(deps.store, async (tx): Promise<Added> => {
    const found = await pieceOfClass(tx, actor, input)
    if (!found.ok) return found
    const mayRun = await classFor(tx, actor, input.classId, 'run')
    if (!mayRun.ok) return mayRun
    for (const { learnerId, text } of input.texts) {
      const { assignmentId, pieceId } = input
      const which = { assignmentId, pieceId, learnerId }
      const work = await publishedWorkFor(tx, which, learnerId)
      if (!work || work.classId !== input.classId)
        return refuse({ code: 'access/not-found', what: 'learner' })
      if ((await attemptsAt(tx, which, learnerId)).length > 0)
        return refuse({ code: 'attempts/has-a-text', field: 'texts', learnerId })
      const done = await handInFor(tx, deps, { ...which, text, work })
      if (!done.ok) return done
    }
    return ok({ added: input.texts.length })
  })
}

async function handInFor(
  tx: Connection,
  deps: Deps,
  of: Pick<Attempt, 'assignmentId' | 'pieceId' | 'learnerId'> & {
    readonly text: string
    readonly work: OwnTerms
  },
): Promise<Result<true, AttemptRefusal>> {
  const { assignmentId, pieceId, learnerId, text, work } = of
  const given = await givenPiece(tx, { assignmentId, pieceId, learnerId })
  const item = given.resource.items.find(isScoredByHand)
  if (!item) return refuse({ code: 'attempts/no-text-asked', field: 'pieceId' })
  const at = handedInAt(deps.clock.now(), work)
  const attempt: Attempt = {
    id: asId<AttemptId>(deps.ids.newId()),
    assignmentId,
    pieceId,
    learnerId,
    revision: work.version?.instead?.revision ?? given.piece.revision,
    number: 1,
    startedAt: at,
    deadlineAt: null,
    submittedAt: null,
    endedBy: null,
    score: null,
    itemIds: null,
    sharedFrom: null,
  }
  await addAttempt(tx, attempt)
  await fixAnswer(tx, { attemptId: attempt.id, itemId: item.id, answer: { kind: 'extended', text }, at })
  await endTry(tx, deps, { attempt, work }, { at, endedBy: 'learner' })
  return ok(true)
}

/** Nobody is late because their teacher takes the text over later. */
function handedInAt(now: Instant, { terms }: OwnTerms): Instant {
  return terms.due !== null && now >= terms.due ? instant(terms.due - 1) : now
}
