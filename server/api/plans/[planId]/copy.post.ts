import { CopyPlan } from '#shared/contracts/teaching'
import { copyPlan } from '#usecases/pacing/plans'
import { handle } from '../../../http/handle'

export default handle(CopyPlan, ({ deps, actor }, { params }) => copyPlan(deps, actor, params.planId))
