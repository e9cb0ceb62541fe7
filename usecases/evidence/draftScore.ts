import { ok, refuse } from '#core/base'
import type { AttemptId, ItemId, Result } from '#core/base'
import { areLevelsOf, criteriaFor } from '#core/attempts'
import type { Attempt, AttemptRefusal, Levels } from '#core/attempts'
import type { AccessRefusal, Teacher } from '#core/access'
import { isScoredByHand } from '#core/library'
import { attemptById, classHaving, draftsOf, saveDraft } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { givenPiece } from '../settling/givenPiece'
import { changedBy, changedTo } from '../ground/changedMeanwhile'
import { writing } from '../ground/writing'
import { classFor } from '../ground/classAccess'
import { draftedAt } from './toScore'

type Drafted = Result<{ readonly version: number }, AccessRefusal | AttemptRefusal>

/**
 * Keeps what a teacher gives for one answer of a try that was handed in, without showing it to its learner. A level may
 * still be open. `version` counts the changes that the teacher has seen (0: there were none); refused when somebody
 * changed it since. Only who teaches the learner's class may.
 */
export async function draftScore(
  deps: Deps,
  actor: Teacher,
  input: {
    readonly attemptId: AttemptId
    readonly itemId: ItemId
    readonly levels: Levels
    readonly comment: string
    readonly again: boolean
    readonly version: number
  },
): Promise<Drafted> {
  return writing(deps.store, async (tx): Promise<Drafted> => {
    const found = await handedInTry(tx, actor, input.attemptId)
    if (!found.ok) return found
    const attempt = found.value
    const { itemId, levels, comment, again } = input
    const { resource } = await givenPiece(tx, attempt)
    const item = resource.items.find((i) => i.id === itemId)
    const isAsked = attempt.score?.items.some((s) => s.itemId === itemId)
    if (!item || !isAsked || !isScoredByHand(item))
      return refuse({ code: 'attempts/unknown-item', field: 'itemId', itemId })
    if (!areLevelsOf(criteriaFor(item, resource.material.rubric), levels))
      return refuse({ code: 'attempts/bad-levels', field: 'levels' })
    const at = draftedAt(attempt)
    const drafts = await draftsOf(tx, [at])
    const stands = drafts.find((d) => d.itemId === itemId)
    const now = stands?.version ?? 0
    if (now !== input.version) {
      const by = stands ? changedBy(actor, { id: stands.by, name: stands.byName }) : null
      return changedTo({ seen: input.version, now }, by)
    }
    const version = now + 1
    const draft = { levels, comment: comment.trim(), again, version, by: actor.userId }
    await saveDraft(tx, { attemptId: at, itemId, ...draft })
    return ok({ version })
  })
}

/** The try that was handed in, for who teaches its learner. */
async function handedInTry(
  tx: Connection,
  actor: Teacher,
  attemptId: AttemptId,
): Promise<Result<Attempt, AccessRefusal>> {
  const missing = refuse({ code: 'access/not-found' as const, what: 'try' })
  const attempt = await attemptById(tx, attemptId)
  const classId = attempt && (await classHaving(tx, attempt))
  if (!attempt || !classId) return missing
  const found = await classFor(tx, actor, classId, 'run')
  if (!found.ok) return found.error.code === 'access/denied' ? found : missing
  return attempt.score === null ? missing : ok(attempt)
}
