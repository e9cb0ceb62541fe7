import { RemoveLearner } from '#shared/contracts/teaching'
import { removeLearner } from '#usecases/teaching/removeLearner'
import { handle } from '../../../http/handle'

export default handle(RemoveLearner, ({ deps, actor }, { params, body }) =>
  removeLearner(deps, actor, { ...params, ...body }),
)
