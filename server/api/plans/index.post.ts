import { MakePlan } from '#shared/contracts/teaching'
import { makePlan } from '#usecases/pacing/plans'
import { handle } from '../../http/handle'

export default handle(MakePlan, ({ deps, actor }, { body }) => makePlan(deps, actor, body))
