import { AddStanding } from '#shared/contracts/standing'
import { addStanding } from '#usecases/standing/keepStanding'
import { handle } from '../../../../http/handle'

export default handle(AddStanding, ({ deps, actor }, { params, body }) =>
  addStanding(deps, actor, { ...params, ...body }),
)
