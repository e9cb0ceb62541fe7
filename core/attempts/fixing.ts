import { ok, refuse } from '../base'
import type { Result } from '../base'
import { isOmitted, isScoredByHand } from '../library'
import type { Answer, Item } from '../library'
import type { AttemptRefusal } from './refusals'
import type { AttemptRules } from './types'

/**
 * Whether an answer may be given for good before the whole try is handed in: where feedback comes item by item, and
 * where the next item depends on it; never what a person scores. An item left out may be passed over only where the
 * next one waits for it.
 */
export function mayFix(
  rules: Pick<AttemptRules, 'feedback' | 'answers' | 'items'>,
  item: Pick<Item, 'id' | 'kind'>,
  answer: Answer | undefined,
): Result<true, AttemptRefusal> {
  const isAdaptive = rules.items.kind === 'adaptive'
  const isShownAtOnce = rules.feedback === 'item' || rules.answers === 'item'
  if (!isAdaptive && (!isShownAtOnce || isScoredByHand(item)))
    return refuse({ code: 'attempts/not-item-by-item', field: 'itemId' })
  return isOmitted(answer) && !isAdaptive
    ? refuse({ code: 'attempts/answer-first', field: 'answer', itemId: item.id })
    : ok(true)
}
