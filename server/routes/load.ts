import { ShowHeavyWeeks, ShowLoad, ShowLoadOf } from '#shared/contracts/load'
import { showHeavyWeeks, showLoad, showLoadOf } from '#usecases/load/showLoad'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** What learners carry. */
export const LOAD_ROUTES: readonly Route[] = [
  route(ShowLoad, ({ deps, actor }, { params, query }) => showLoad(deps, actor, { ...params, ...query })),
  route(ShowHeavyWeeks, ({ deps, actor }, { params }) => showHeavyWeeks(deps, actor, params)),
  route(ShowLoadOf, ({ deps, actor }, { params, query }) => showLoadOf(deps, actor, { ...params, ...query })),
]
