import type { Instant } from '../base'
import type { AttemptRules } from './types'

/**
 * Whether every further try asks the same questions, and tries are counted: practice without end gives nothing away.
 */
export function asksAgain({ items, maxAttempts }: Pick<AttemptRules, 'items' | 'maxAttempts'>): boolean {
  const isSame = items.kind === 'all' || (items.kind === 'drawn' && items.again === 'same')
  return isSame && maxAttempts !== null && maxAttempts > 1
}

/**
 * Whether a learner may still be asked the very questions of their tries: what tells the solution of one they had wrong
 * would give it away.
 * @param used tries that they have begun.
 */
export function comesAgain(
  rules: Pick<AttemptRules, 'items'>,
  { maxAttempts, closes }: { readonly maxAttempts: number | null; readonly closes: Instant | null },
  used: number,
  now: Instant,
): boolean {
  const isOver = closes !== null && closes <= now
  return !isOver && maxAttempts !== null && used < maxAttempts && asksAgain({ ...rules, maxAttempts })
}
