import {
  AddStanding,
  AnswerOffers,
  ChangeStanding,
  LayStanding,
  PreviewLay,
  ShowStanding,
} from '#shared/contracts/standing'
import { answerOffers } from '#usecases/standing/answerOffers'
import { addStanding, changeStanding } from '#usecases/standing/keepStanding'
import { layStanding, previewLay } from '#usecases/standing/layStanding'
import { showStanding } from '#usecases/standing/showStanding'
import { route } from '../http/route'
import type { Route } from '../http/route'

/** Work that goes with a plan’s lessons. */
export const STANDING_ROUTES: readonly Route[] = [
  route(ShowStanding, ({ deps, actor }, { params }) => showStanding(deps, actor, params)),
  route(AddStanding, ({ deps, actor }, { params, body }) => addStanding(deps, actor, { ...params, ...body })),
  route(ChangeStanding, ({ deps, actor }, { params, body }) =>
    changeStanding(deps, actor, { ...params, ...body }),
  ),
  route(PreviewLay, ({ deps, actor }, { params, body }) => previewLay(deps, actor, { ...params, ...body })),
  route(LayStanding, ({ deps, actor }, { params, body }) => layStanding(deps, actor, { ...params, ...body })),
  route(AnswerOffers, ({ deps, actor }, { params, body }) =>
    answerOffers(deps, actor, { ...params, ...body }),
  ),
]
