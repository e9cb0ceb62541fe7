import {
  ChangeSeries,
  ClearSeries,
  MakeSeries,
  ReleaseSeries,
  RemoveSeries,
  ShowSeries,
} from '#shared/contracts/series'
import { changeSeries, makeSeries } from '#usecases/series/keepSeries'
import { clearSeries, releaseSeries, removeSeries } from '#usecases/series/releaseSeries'
import { showSeries } from '#usecases/series/showSeries'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Pieces one after another. */
export const SERIES_ROUTES: readonly Route[] = [
  route(ShowSeries, ({ deps, actor }, { params }) => showSeries(deps, actor, params)),
  route(MakeSeries, ({ deps, actor }, { body }) => makeSeries(deps, actor, body)),
  route(ChangeSeries, ({ deps, actor }, { params, body }) =>
    changeSeries(deps, actor, { ...params, ...body }),
  ),
  route(ReleaseSeries, ({ deps, actor }, { params, body }) =>
    releaseSeries(deps, actor, { ...params, ...body }),
  ),
  route(ClearSeries, ({ deps, actor }, { params, body }) => clearSeries(deps, actor, { ...params, ...body })),
  route(RemoveSeries, ({ deps, actor }, { params, body }) =>
    removeSeries(deps, actor, { ...params, ...body }),
  ),
]
