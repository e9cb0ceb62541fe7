import type { LaidRow, Overlap } from '#core/series'
import type { KeptSeries, ReleasedRow } from '#shared/contracts/series'

/** A series laid out, with what its rows became. */
export interface SeriesLane {
  readonly kept: KeptSeries
  readonly laid: readonly LaidRow[]
  readonly released: ReadonlyMap<string, ReleasedRow>
  /** Rows that could be released now. */
  readonly waiting: number
  readonly overlaps: readonly Overlap[]
  readonly titleOf: (rowId: string) => string
}
