import { LayStanding } from '#shared/contracts/standing'
import { layStanding } from '#usecases/standing/layStanding'
import { handle } from '../../../http/handle'

export default handle(LayStanding, ({ deps, actor }, { params, body }) =>
  layStanding(deps, actor, { ...params, ...body }),
)
