import { ReadRoster } from '#shared/contracts/teaching'
import { readRoster } from '#usecases/teaching/roster'
import { handle } from '../../../http/handle'

export default handle(ReadRoster, ({ deps, actor }, { params, body }) =>
  readRoster(deps, actor, { ...params, ...body }),
)
