import { SaveGroup } from '#shared/contracts/teaching'
import { keepGroup } from '#usecases/teaching/keepGroup'
import { handle } from '../../../http/handle'

export default handle(SaveGroup, ({ deps, actor }, { params, body }) =>
  keepGroup(deps, actor, { ...params, ...body }),
)
