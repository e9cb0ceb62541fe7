import { LayPieces, MovePlaced, ShowPlacing, TakePlaced } from '#shared/contracts/placing'
import { layPieces, movePlaced, takePlaced } from '#usecases/placing/place'
import { showPlacing } from '#usecases/placing/showPlacing'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Pieces laid on days. */
export const PLACING_ROUTES: readonly Route[] = [
  route(ShowPlacing, ({ deps, actor }, { body }) => showPlacing(deps, actor, body)),
  route(LayPieces, ({ deps, actor }, { body }) => layPieces(deps, actor, body)),
  route(MovePlaced, ({ deps, actor }, { body }) => movePlaced(deps, actor, body)),
  route(TakePlaced, ({ deps, actor }, { body }) => takePlaced(deps, actor, body)),
]
