import { ok } from '#core/base'
import type { AttemptId, ItemId, Result, UserId } from '#core/base'
import { pointsByCriteria, scoredByHand } from '#core/attempts'
import type { AttemptRefusal } from '#core/attempts'
import type { Teacher } from '#core/access'
import type { AnswerToScore } from '#core/evidence'
import { attemptById, attemptsSharedWith, dropDraft, saveScore } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from '../settling/givenPiece'
import { standsOtherwise } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { giveMoreToLearners } from '../work/giveMore'
import type { Given } from '../work/giveMore'
import { answersToScore, draftedAt, pieceOfClass } from './toScore'
import type { OfClass } from './toScore'

type GivenRefusal = Extract<Given, { readonly ok: false }>['error']
type Released = Result<
  {
    /** Texts whose learners have their score now. */
    readonly released: number
    /** Learners who have another go. */
    readonly returned: number
    /** Texts of which a criterion is still open: they stay as they are. */
    readonly left: number
  },
  GivenRefusal | AttemptRefusal
>

/**
 * Gives the learners of a class what was given for their answers to a piece, all at once, with another go where that
 * was chosen. What is not scored by all criteria stays; released twice is released once. Refused as a whole where a
 * score was given or changed since it was looked at.
 */
export async function releaseScores(
  deps: Deps,
  actor: Teacher,
  input: OfClass & {
    /** What was looked at of what is not released; absent: all that stands. */
    readonly seen?: readonly DraftSeen[]
  },
): Promise<Released> {
  return writing(deps.store, async (tx): Promise<Released> => {
    const found = await pieceOfClass(tx, actor, input)
    if (!found.ok) return found
    const mayRun = await classFor(tx, actor, input.classId, 'run')
    if (!mayRun.ok) return mayRun
    const drafted = (await answersToScore(tx, input)).filter((a) => a.draft !== null)
    const { seen } = input
    if (seen && !drafted.every((answer) => isAsSeen(answer, seen))) return standsOtherwise()
    const again = new Set<UserId>()
    let released = 0
    for (const answer of drafted) {
      const learners = await release(tx, answer)
      if (!learners.ok) return learners
      if (learners.value.length === 0) continue
      released++
      if (answer.draft?.again) for (const id of learners.value) again.add(id)
    }
    if (again.size > 0) {
      const { assignmentId, pieceId } = input
      const more = { kind: 'try' as const, pieceId }
      const given = await giveMoreToLearners(tx, deps, actor, { assignmentId, learnerIds: [...again], more })
      if (!given.ok) return given
    }
    return ok({ released, returned: again.size, left: drafted.length - released })
  })
}

/** A score that is not released, as it was looked at: `version` counts its changes. */
export interface DraftSeen {
  readonly attemptId: AttemptId
  readonly itemId: ItemId
  readonly version: number
}

function isAsSeen({ attemptId, itemId, draft }: AnswerToScore, seen: readonly DraftSeen[]): boolean {
  const known = seen.find((s) => s.attemptId === attemptId && s.itemId === itemId)
  return known?.version === draft?.version
}

/** Puts what was given for an answer into the scores of all who handed it in; nobody while a criterion is open. */
async function release(
  tx: Connection,
  { attemptId, itemId, item, criteria, draft }: AnswerToScore,
): Promise<Result<readonly UserId[], AttemptRefusal>> {
  const points = draft ? pointsByCriteria(criteria, draft.levels, item.points) : null
  const attempt = await attemptById(tx, attemptId)
  if (draft === null || points === null || attempt === null) return ok([])
  const levels = draft.levels.flatMap((level) => level ?? [])
  const tries = await attemptsSharedWith(tx, attempt)
  for (const one of tries) {
    if (one.score === null) continue
    const { resource, rules } = await givenPiece(tx, one)
    const given = { itemId, points, comment: draft.comment, levels }
    const scored = scoredByHand(one.score, resource.items, given, rules.late)
    if (!scored.ok) return scored
    await saveScore(tx, one.id, scored.value)
  }
  await dropDraft(tx, { attemptId: draftedAt(attempt), itemId })
  return ok(tries.map((t) => t.learnerId))
}
