import { correctionsOf, rescored } from '#core/attempts'
import type { Attempt, AttemptScore } from '#core/attempts'
import { same } from '#core/base'
import type { PieceId } from '#core/base'
import { rulesOf } from '#core/work'
import type { Assignment } from '#core/work'
import { answersOf, attemptsOf, learnerWorkOf, pieceIn, saveScore } from '#db/repositories'
import type { Connection } from '#db/repositories'

/** A try that was scored, and what it has earned by what is right now. */
export interface Rescored {
  readonly attempt: Attempt
  readonly before: AttemptScore
  readonly after: AttemptScore
}

/** What the scored tries at a piece earn where other things were put right in it; of those that were given it. */
export async function rescoredTries(
  tx: Connection,
  before: Assignment,
  after: Assignment,
  pieceId: PieceId,
): Promise<readonly Rescored[]> {
  const was = before.pieces.find((p) => p.id === pieceId)
  const is = after.pieces.find((p) => p.id === pieceId)
  if (!was || !is || same(was.corrections ?? [], is.corrections ?? [])) return []
  const rows = await learnerWorkOf(tx, [after.id])
  // who has another task in its place was asked other questions
  const others = new Set(
    rows.filter((r) => r.pieceId === pieceId && r.version?.instead).map((r) => r.learnerId),
  )
  const tries = (await attemptsOf(tx, [after.id])).filter(
    (t) => t.pieceId === pieceId && t.score !== null && !others.has(t.learnerId),
  )
  const out: Rescored[] = []
  for (const revision of new Set(tries.map((t) => t.revision))) {
    const corrections = correctionsOf(is, revision)
    if (same(correctionsOf(was, revision), corrections)) continue
    const own = tries.filter((t) => t.revision === revision)
    const form = await pieceIn(tx, { resourceId: is.resourceId, revision })
    const answers = await answersOf(
      tx,
      own.map((t) => t.id),
    )
    const rule = rulesOf(after, is).late
    for (const attempt of own) {
      if (!form || attempt.score === null) continue
      const by = { corrections, rule, bank: form.items }
      const next = rescored(attempt.score, form.items, answers.get(attempt.id) ?? new Map(), by)
      out.push({ attempt, before: attempt.score, after: next })
    }
  }
  return out
}

/** Scores tries anew wherever something else is right since an act. */
export async function rescore(tx: Connection, before: Assignment, after: Assignment): Promise<void> {
  for (const { id } of after.pieces)
    for (const { attempt, after: score } of await rescoredTries(tx, before, after, id))
      await saveScore(tx, attempt.id, score)
}
