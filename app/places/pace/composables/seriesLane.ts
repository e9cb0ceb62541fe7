import type { ResourceId } from '#core/base'
import { layRows, overlapsIn } from '#core/series'
import type { LaidRow, Overlap } from '#core/series'
import type { ClassSeries, KeptSeries, ReleasedRow, SeriesPiece } from '#shared/contracts/series'

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

/** The series of a class, each laid out on its days. */
export function lanesOf(
  said: ClassSeries | null,
  pieces: ReadonlyMap<ResourceId, SeriesPiece>,
): readonly SeriesLane[] {
  return (said?.series ?? []).map((kept) => {
    const laid = said ? layRows(kept.series, said.days) : []
    const released = new Map(kept.rows.map((r) => [r.rowId, r]))
    const waiting = laid.filter((r) => r.days !== null && !released.has(r.rowId)).length
    const byRow = new Map(kept.series.rows.map((r) => [r.id, pieces.get(r.resourceId)]))
    const titleOf = (rowId: string) => byRow.get(rowId)?.title ?? 'a piece'
    return { kept, laid, released, waiting, overlaps: overlapsIn(laid), titleOf }
  })
}
