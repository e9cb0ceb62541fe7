import { LayPlan } from '#shared/contracts/teaching'
import { layPlan } from '#usecases/pacing/layPlan'
import { handle } from '../../../http/handle'

export default handle(LayPlan, ({ deps, actor }, { params, body }) =>
  layPlan(deps, actor, { ...params, ...body }),
)
