import type { Target } from '#core/audience'
import { withOnly, withOther } from '#core/series'
import type { RowDays, Series } from '#core/series'

/** How a row of a series is to be for some: on other days (null: as for everybody), or for them alone. */
export type RowAnswer =
  | {
      readonly kind: 'days'
      readonly targets: readonly Target[]
      readonly days: Partial<RowDays> | null
    }
  | { readonly kind: 'alone'; readonly targets: readonly Target[] }

/** A series with a row as it was answered. */
export function withAnswer(series: Series, rowId: string, answer: RowAnswer): Series {
  if (answer.kind === 'alone') return withOnly(series, rowId, answer.targets)
  return answer.targets.reduce((s, target) => withOther(s, rowId, target, answer.days), series)
}
