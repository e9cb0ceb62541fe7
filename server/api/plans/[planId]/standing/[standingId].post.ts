import { ChangeStanding } from '#shared/contracts/standing'
import { changeStanding } from '#usecases/standing/keepStanding'
import { handle } from '../../../../http/handle'

export default handle(ChangeStanding, ({ deps, actor }, { params, body }) =>
  changeStanding(deps, actor, { ...params, ...body }),
)
