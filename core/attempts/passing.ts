import type { AttemptRules } from './types'

/** How a learner stands with a piece that has a pass mark; `ratio` null: nothing is scored, or shown, yet. */
export type Passing = 'passed' | 'not-yet' | null

/** Whether what counts reaches the pass mark; null where there is none, or the score is not to be known yet. */
export function passingOf(ratio: number | null, { passPercent }: Pick<AttemptRules, 'passPercent'>): Passing {
  if (passPercent === null || ratio === null) return null
  // shares are sums of fractions: 70 % must not fail by the last bit
  return ratio * 100 >= passPercent - 1e-9 ? 'passed' : 'not-yet'
}
