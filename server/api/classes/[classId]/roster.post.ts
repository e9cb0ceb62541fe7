import { AddRoster } from '#shared/contracts/teaching'
import { addRoster } from '#usecases/teaching/roster'
import { handleHeavy } from '../../../http/handle'

export default handleHeavy(AddRoster, ({ deps, actor }, { params, body }) =>
  addRoster(deps, actor, { ...params, ...body }),
)
