import { ShowLens, ShowLensPiece } from '#shared/contracts/lens'
import { showLens, showLensPiece } from '#usecases/lens/showLens'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** The app as a learner sees it. */
export const LENS_ROUTES: readonly Route[] = [
  route(ShowLens, ({ deps, actor }, { params, query }) =>
    showLens(deps, actor, { ...params, at: query.at ?? null }),
  ),
  route(ShowLensPiece, ({ deps, actor }, { params, query }) =>
    showLensPiece(deps, actor, { ...params, pieceId: query.pieceId ?? null, at: query.at ?? null }),
  ),
]
