import { ReadRoster } from '#shared/contracts/teaching'
import { readRoster } from '#usecases/teaching/roster'
import { handleHeavy } from '../../../http/handle'

export default handleHeavy(ReadRoster, ({ deps, actor }, { params, body }) =>
  readRoster(deps, actor, { ...params, ...body }),
)
