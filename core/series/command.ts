import type { SeriesId } from '../base'
import type { WorkCommand } from '../work'
import type { Series } from './types'

export const SERIES_ACTS = ['made', 'changed', 'released', 'cleared', 'removed'] as const
/** What a teacher did to a series, for saying it. */
export type SeriesAct = (typeof SERIES_ACTS)[number]

/** An act on a series with what it did to the work of its rows. `from` null: made by it; `to` null: removed. */
export interface SeriesCommand {
  readonly kind: 'series'
  readonly what: SeriesAct
  readonly seriesId: SeriesId
  readonly from: Series | null
  readonly to: Series | null
  readonly works: readonly WorkCommand[]
}

/** The same as it is said, without all that it was and became. */
export interface SeriesStep extends Pick<SeriesCommand, 'kind' | 'what' | 'seriesId'> {
  readonly title: string
  /** How many rows' work it changed. */
  readonly rows: number
}

/** An act as whoever looks at undo, redo or the history needs it. */
export function asSeriesStep({ kind, what, seriesId, from, to, works }: SeriesCommand): SeriesStep {
  return { kind, what, seriesId, title: (to ?? from)?.title ?? '', rows: works.length }
}
