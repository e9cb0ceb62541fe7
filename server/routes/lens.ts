import { ListLately, ShowLens, ShowLensPiece } from '#shared/contracts/lens'
import { listLately } from '#usecases/lens/listLately'
import { showLens, showLensPiece } from '#usecases/lens/showLens'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** The app as a learner sees it. */
export const LENS_ROUTES: readonly Route[] = [
  route(ListLately, ({ deps, actor }) => listLately(deps, actor)),
  route(ShowLens, ({ deps, actor }, { params, query }) =>
    showLens(deps, actor, { ...params, at: query.at ?? null }),
  ),
  route(ShowLensPiece, ({ deps, actor }, { params, query }) =>
    showLensPiece(deps, actor, { ...params, pieceId: query.pieceId ?? null, at: query.at ?? null }),
  ),
]
