import type { ResourceId, SeriesId } from '#core/base'
import { SERIES_PARTS } from '#core/series'
import type { Series } from '#core/series'
import { ClearSeries, ReleaseSeries, RemoveSeries, ShowSeries } from '#shared/contracts/series'
import type { ClassSeries } from '#shared/contracts/series'
import type { Versioned } from '~/shared/conflict/combining'
import { call } from '~/shared/wire/call'
import { seriesWords } from './words/seriesParts'

/** Acts on a whole series: `meant` stands on the button where a colleague changed it first. */
export const SERIES_DEEDS = {
  release: { contract: ReleaseSeries, meant: 'Release it all the same', done: 'released' },
  clear: { contract: ClearSeries, meant: 'Clear it all the same', done: 'cleared' },
  remove: { contract: RemoveSeries, meant: 'Remove it all the same', done: null },
} as const

/** A series as it was looked at, how it stands now, and how its parts are said. */
export function aboutSeries(
  id: SeriesId,
  seen: Versioned<Series>,
  names: { readonly of: ClassSeries | null; readonly pieceOf: (id: ResourceId) => string },
) {
  return {
    what: 'this series',
    parts: SERIES_PARTS,
    words: seriesWords(names.of, names.pieceOf),
    seen,
    current: async () => {
      const reply = await call(ShowSeries, { params: { classId: seen.value.classId } })
      const now = reply.ok ? reply.value.series.find((s) => s.id === id) : undefined
      return now ? { value: now.series, version: now.version } : null
    },
  }
}

/** Stands for a version that is known not to be the one that was seen. */
export const NOT_AS_SEEN = 0
/** What the server would say to it. */
export const CHANGED_HERE = {
  ok: false,
  error: { code: 'access/changed-meanwhile', field: 'seen', by: null },
} as const
