import { ChangeWork } from '#shared/contracts/work'
import { changeWork } from '#usecases/work/changeWork'
import { handle } from '../../../http/handle'

export default handle(ChangeWork, ({ deps, actor }, { params, body }) =>
  changeWork(deps, actor, { ...params, ...body }),
)
