import {
  AdoptBook,
  CopyPlan,
  LayPlan,
  MakePlan,
  ReadOutline,
  ReadPlanTable,
  ShowPlan,
} from '#shared/contracts/plans'
import { layPlan } from '#usecases/pacing/layPlan'
import { adoptBook, copyPlan, makePlan, readOutline, readPlanTable, showPlan } from '#usecases/pacing/plans'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Plans: made, adopted, copied, laid on classes. */
export const PLANS_ROUTES: readonly Route[] = [
  route(ReadOutline, ({ deps, actor }, { body }) => readOutline(deps, actor, body)),
  route(MakePlan, ({ deps, actor }, { body }) => makePlan(deps, actor, body)),
  route(AdoptBook, ({ deps, actor }, { body }) => adoptBook(deps, actor, body.bookId)),
  route(LayPlan, ({ deps, actor }, { params, body }) => layPlan(deps, actor, { ...params, ...body })),
  route(ShowPlan, ({ deps, actor }, { params }) => showPlan(deps, actor, params.planId)),
  route(CopyPlan, ({ deps, actor }, { params }) => copyPlan(deps, actor, params.planId)),
  route(ReadPlanTable, ({ deps, actor }, { body }) => readPlanTable(deps, actor, body)),
]
