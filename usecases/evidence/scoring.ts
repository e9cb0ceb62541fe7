import { ok, refuse } from '#core/base'
import type { AssignmentId, AttemptId, ClassId, ItemId, PieceId, Result, UserId } from '#core/base'
import { scoredByHand } from '#core/attempts'
import type { Attempt, AttemptRefusal } from '#core/attempts'
import type { AccessRefusal, Actor } from '#core/access'
import type { AnswerToScore } from '#core/evidence'
import { forLearner, isOmitted, isScoredByHand } from '#core/library'
import type { Answer } from '#core/library'
import { isSupportItem } from '#core/versions'
import {
  answersOf,
  attemptById,
  attemptsOf,
  attemptsSharedWith,
  learnerWorkOf,
  learnersOf,
  saveScore,
} from '#db/repositories'
import type { Deps } from '../deps'
import { givenPiece } from '../learning/givenPiece'
import type { GivenPiece } from '../learning/givenPiece'
import { settleOverdue } from '../learning/settleOverdue'
import { writing } from '../rollback'
import { classFor } from '../teaching/classAccess'
import { workFor } from '../work/workFor'

/** Answers of one class to a piece that a person scores, those that wait first, then by name. */
export async function listToScore(
  deps: Deps,
  actor: Actor,
  input: { readonly assignmentId: AssignmentId; readonly pieceId: PieceId; readonly classId: ClassId },
) {
  const tx = deps.store.read
  const found = await workFor(tx, actor, input.assignmentId)
  if (!found.ok) return found
  const ofClass = await classFor(tx, actor, input.classId, 'see')
  if (!ofClass.ok) return ofClass
  if (!found.value.assignment.pieces.some((p) => p.id === input.pieceId))
    return refuse({ code: 'access/not-found' as const, what: 'piece' })
  await settleOverdue(deps, { assignmentIds: [input.assignmentId] })
  const rows = await learnerWorkOf(tx, [input.assignmentId])
  const inClass = new Set(rows.filter((r) => r.classId === input.classId).map((r) => r.learnerId))
  const tries = (await attemptsOf(tx, [input.assignmentId])).filter(
    (t) => t.pieceId === input.pieceId && t.score !== null && inClass.has(t.learnerId),
  )
  const people = (await learnersOf(tx, [input.classId])).get(input.classId) ?? []
  const names = new Map(people.map((p) => [p.id, p.name]))
  const answers = await answersOf(
    tx,
    tries.map((t) => t.id),
  )
  const lists = await Promise.all(
    tries.map(async (t) => toScoreIn(t, await givenPiece(tx, t), answers.get(t.id), names)),
  )
  const waits = (a: AnswerToScore) => Number(a.points !== null)
  const list = lists.flat().sort((a, b) => waits(a) - waits(b) || a.name.localeCompare(b.name))
  return ok({ answers: list })
}

function toScoreIn(
  attempt: Attempt,
  { resource, support }: GivenPiece,
  answers: ReadonlyMap<ItemId, Answer> | undefined,
  names: ReadonlyMap<UserId, string>,
): readonly AnswerToScore[] {
  const filledIn = resource.items.filter(isSupportItem).flatMap((item) => {
    const answer = answers?.get(item.id)
    return answer && !isOmitted(answer) ? [{ item: forLearner(item), answer }] : []
  })
  const words = [...resource.material.words.map((w) => w.word), ...support.wordBank]
  const expected = [...new Set(words)]
  return resource.items.filter(isScoredByHand).flatMap((item) => {
    const answer = answers?.get(item.id)
    const score = attempt.score?.items.find((s) => s.itemId === item.id)
    if (!answer || !score || isOmitted(answer)) return []
    const { id: attemptId, learnerId, number } = attempt
    return [
      {
        attemptId,
        learnerId,
        name: names.get(learnerId) ?? '',
        number,
        itemId: item.id,
        item,
        answer,
        filledIn,
        organiser: support.organiser,
        expected,
        points: score.waits ? null : score.points,
        comment: score.comment ?? '',
      },
    ]
  })
}

export type AnswerScored = Result<{ readonly learners: number }, AccessRefusal | AttemptRefusal>

/**
 * Scores one answer of a try that was handed in, for all of a team who handed it in together. The later of two scores
 * counts. Only who teaches the learner's class may.
 */
export async function scoreAnswer(
  deps: Deps,
  actor: Actor,
  input: {
    readonly attemptId: AttemptId
    readonly itemId: ItemId
    readonly points: number
    readonly comment: string
  },
): Promise<AnswerScored> {
  return writing(deps.store, async (tx): Promise<AnswerScored> => {
    const attempt = await attemptById(tx, input.attemptId)
    const missing = refuse({ code: 'access/not-found' as const, what: 'try' })
    const rows = attempt ? await learnerWorkOf(tx, [attempt.assignmentId]) : []
    const row = rows.find((r) => r.learnerId === attempt?.learnerId && r.pieceId === attempt.pieceId)
    if (!attempt || !row) return missing
    const found = await classFor(tx, actor, row.classId, 'run')
    if (!found.ok) return found.error.code === 'access/denied' ? found : missing
    if (attempt.score === null) return missing
    const tries = await attemptsSharedWith(tx, attempt)
    for (const shared of tries) {
      const given = await givenPiece(tx, shared)
      if (shared.score === null) continue
      const scored = scoredByHand(shared.score, given.resource.items, input, given.rules.late)
      if (!scored.ok) return scored
      await saveScore(tx, shared.id, scored.value)
    }
    return ok({ learners: tries.length })
  })
}
