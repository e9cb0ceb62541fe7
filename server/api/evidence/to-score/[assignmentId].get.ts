import { ListToScore } from '#shared/contracts/evidence'
import { listToScore } from '#usecases/evidence/toScore'
import { handle } from '../../../http/handle'

export default handle(ListToScore, ({ deps, actor }, { params, query }) =>
  listToScore(deps, actor, { ...params, ...query }),
)
