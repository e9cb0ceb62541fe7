import { MARK_LOOKS } from './types'
import type { LegendEntry } from './types'

/** As many kinds of marks as a layer may have. */
export const MOST_SORTS = 6

/** A further kind of mark, with a look that the others leave free as long as there is one; null: there are enough. */
export function newSort(legend: readonly LegendEntry[], name: string): LegendEntry | null {
  const numbers = Array.from({ length: MOST_SORTS }, (_, i) => i + 1)
  const free = numbers.map((n) => `m${n}`).find((id) => legend.every((entry) => entry.id !== id))
  const look = MARK_LOOKS.find((l) => legend.every((entry) => entry.look !== l)) ?? 'line'
  return free === undefined ? null : { id: free, name, look }
}
