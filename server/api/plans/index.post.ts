import { MakePlan } from '#shared/contracts/teaching'
import { makePlan } from '#usecases/pacing/plans'
import { handleHeavy } from '../../http/handle'

export default handleHeavy(MakePlan, ({ deps, actor }, { body }) => makePlan(deps, actor, body))
