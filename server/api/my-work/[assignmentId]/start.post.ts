import { StartTry } from '#shared/contracts/learning'
import { startTry } from '#usecases/learning/tries'
import { handle } from '../../../http/handle'

export default handle(StartTry, ({ deps, actor }, { params, body }) =>
  startTry(deps, actor, { ...params, ...body }),
)
