import { ShowPlan } from '#shared/contracts/teaching'
import { showPlan } from '#usecases/pacing/plans'
import { handle } from '../../../http/handle'

export default handle(ShowPlan, ({ deps, actor }, { params }) => showPlan(deps, actor, params.planId))
