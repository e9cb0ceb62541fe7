import { HandIn } from '#shared/contracts/learning'
import { handIn } from '#usecases/learning/tries'
import { handle } from '../../../http/handle'

export default handle(HandIn, ({ deps, actor }, { params, body }) =>
  handIn(deps, actor, { ...params, ...body }),
)
