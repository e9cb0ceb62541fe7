import { ok, refuse } from '#core/base'
import type { AttemptId, Instant, ItemId, Result } from '#core/base'
import type { Learner } from '#core/access'
import { isAdaptive, itemToFollow, itemsOf, mayFix } from '#core/attempts'
import type { AnswerChange, Attempt } from '#core/attempts'
import { leftOut } from '#core/library'
import type { Answer } from '#core/library'
import { isSupportItem } from '#core/versions'
import { answersOf, attemptsAt, fixAnswer as writeFixed, setItems, writtenIn } from '#db/repositories'
import type { Connection } from '#db/repositories'
import type { Deps } from '../ground/deps'
import { writing } from '../ground/writing'
import type { GivenPiece } from '../settling/givenPiece'
import { openTry } from './shownTry'
import { changeable, sendAlong } from './tries'
import type { TryRefusal } from './tries'

type Fixed = Result<Awaited<ReturnType<typeof openTry>> & { readonly now: Instant }, TryRefusal>

/**
 * Gives one answer for good, where the rules show something item by item or the next item depends on it; tells how the
 * try stands then. Doing it again changes nothing.
 */
export async function fixAnswer(
  deps: Deps,
  actor: Learner,
  input: {
    readonly attemptId: AttemptId
    readonly itemId: ItemId
    readonly saves: readonly AnswerChange[]
  },
): Promise<Fixed> {
  const sent = await sendAlong(deps, actor, input)
  if (!sent.ok) return sent
  const now = deps.clock.now()
  return writing(deps.store, async (tx): Promise<Fixed> => {
    const found = await changeable(tx, actor, input.attemptId, now)
    if (!found.ok) return found
    const { attempt, given, work } = found.value
    const of = { given, terms: work.terms, now }
    const { itemId } = input
    const item = itemsOf(given.resource.items, attempt, 'as-written').find((i) => i.id === itemId)
    if (!item) return refuse({ code: 'attempts/unknown-item', field: 'itemId', itemId })
    const answers = (await answersOf(tx, [attempt.id])).get(attempt.id) ?? new Map<ItemId, Answer>()
    const may = mayFix(given.rules, item, answers.get(itemId))
    if (!may.ok) return may
    const { final } = await writtenIn(tx, attempt.id)
    if (final.has(itemId)) return ok({ ...(await openTry(tx, attempt, of)), now })
    const answer = answers.get(itemId) ?? leftOut(item)
    await writeFixed(tx, { attemptId: attempt.id, itemId, answer, at: now })
    const next = await goneOn(tx, attempt, given, answers, new Set([...final, itemId]))
    return ok({ ...(await openTry(tx, next, of)), now })
  })
}

/** An adaptive try whose last item was answered, with the one that follows. */
async function goneOn(
  tx: Connection,
  attempt: Attempt,
  { rules, resource }: GivenPiece,
  answers: ReadonlyMap<ItemId, Answer>,
  final: ReadonlySet<ItemId>,
): Promise<Attempt> {
  const { itemIds } = attempt
  if (itemIds === null || !isAdaptive(rules, attempt)) return attempt
  if (!itemIds.every((id) => final.has(id))) return attempt
  const earlier = (await attemptsAt(tx, attempt, attempt.learnerId)).filter((t) => t.id !== attempt.id)
  const bank = resource.items.filter((item) => !isSupportItem(item))
  const next = itemToFollow(bank, rules, { ...attempt, itemIds }, { answers, earlier })
  if (next === null) return attempt
  await setItems(tx, attempt.id, [...itemIds, next])
  return { ...attempt, itemIds: [...itemIds, next] }
}
