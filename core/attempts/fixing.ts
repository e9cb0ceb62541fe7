import { ok, refuse } from '../base'
import type { ItemId, Result } from '../base'
import { isOmitted } from '../library'
import type { Answer } from '../library'
import type { AttemptRefusal } from './refusals'
import type { AttemptRules } from './types'

/**
 * Whether an answer may be given for good before the whole try is handed in: where feedback comes item by item, and
 * where the next item depends on it. An item left out may be passed over only where the next one waits for it.
 */
export function mayFix(
  rules: Pick<AttemptRules, 'feedback' | 'answers' | 'items'>,
  itemId: ItemId,
  answer: Answer | undefined,
): Result<true, AttemptRefusal> {
  const isAdaptive = rules.items.kind === 'adaptive'
  if (!isAdaptive && rules.feedback !== 'item' && rules.answers !== 'item')
    return refuse({ code: 'attempts/not-item-by-item', field: 'itemId' })
  return isOmitted(answer) && !isAdaptive
    ? refuse({ code: 'attempts/answer-first', field: 'answer', itemId })
    : ok(true)
}
