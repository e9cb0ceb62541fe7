import { ReadPlanTable } from '#shared/contracts/teaching'
import { readPlanTable } from '#usecases/pacing/plans'
import { handleHeavy } from '../../http/handle'

export default handleHeavy(ReadPlanTable, ({ deps, actor }, { body }) =>
  readPlanTable(deps, actor, body.text),
)
