import { AddRoster } from '#shared/contracts/teaching'
import { addRoster } from '#usecases/teaching/roster'
import { handle } from '../../../http/handle'

export default handle(AddRoster, ({ deps, actor }, { params, body }) =>
  addRoster(deps, actor, { ...params, ...body }),
)
