import { wholePercent } from '../base'
import type { Scored, Split } from './types'

/**
 * Groups between bounds in per cent, such as 60 and 85: below the first, from it to below the next, and so on. By the
 * whole per cent that is shown, so that what reads 60 % is not below 60 %.
 */
export function byBounds(scored: readonly Scored[], bounds: readonly number[]): Split {
  const limits = [...bounds].sort((a, b) => a - b)
  const groups = [...limits, Infinity].map((limit, i) => {
    const from = limits[i - 1] ?? -Infinity
    return scored
      .filter(({ share }) => {
        if (share === null) return false
        const shown = wholePercent(share)
        return shown >= from && shown < limit
      })
      .map((s) => s.learnerId)
  })
  return { groups, unscored: scored.filter((s) => s.share === null).map((s) => s.learnerId) }
}
