import { ReadPlanTable } from '#shared/contracts/teaching'
import { readPlanTable } from '#usecases/pacing/plans'
import { handle } from '../../http/handle'

export default handle(ReadPlanTable, ({ deps, actor }, { body }) => readPlanTable(deps, actor, body.text))
