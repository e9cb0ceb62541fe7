import { findingsOfKind, isScoredByHand } from './kinds'
import type { Item, ItemFinding } from './kinds'

/** What a second look would find in a question; empty when there is nothing. */
export function findingsIn(item: Item): readonly ItemFinding[] {
  return [
    ...(item.stem.trim() === '' ? [{ code: 'no-stem' } as const] : []),
    ...findingsOfKind(item),
    ...(item.standard === null ? [{ code: 'no-standard' } as const] : []),
    ...(item.feedback.trim() === '' && !isScoredByHand(item) ? [{ code: 'no-feedback' } as const] : []),
  ]
}
