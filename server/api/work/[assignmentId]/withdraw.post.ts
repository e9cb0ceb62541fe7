import { WithdrawWork } from '#shared/contracts/work'
import { withdrawWork } from '#usecases/work/withdrawWork'
import { handle } from '../../../http/handle'

export default handle(WithdrawWork, ({ deps, actor }, { params, body }) =>
  withdrawWork(deps, actor, { ...params, ...body }),
)
