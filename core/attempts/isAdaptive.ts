import type { Attempt, AttemptRules } from './types'

/** Whether a try's items are chosen one after another; one that began by other rules has them all. */
export function isAdaptive({ items }: AttemptRules, { itemIds }: Pick<Attempt, 'itemIds'>): boolean {
  return items.kind === 'adaptive' && itemIds !== null
}
