import { ShowNeeds, ShowWeek } from '#shared/contracts/week'
import { showNeeds } from '#usecases/week/showNeeds'
import { showWeek } from '#usecases/week/showWeek'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** The week ahead. */
export const WEEK_ROUTES: readonly Route[] = [
  route(ShowWeek, ({ deps, actor }, { query }) => showWeek(deps, actor, { on: query.on ?? null })),
  route(ShowNeeds, ({ deps, actor }, { query }) => showNeeds(deps, actor, query)),
]
