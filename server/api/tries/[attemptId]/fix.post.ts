import { FixAnswer } from '#shared/contracts/learning'
import { fixAnswer } from '#usecases/learning/fixAnswer'
import { handle } from '../../../http/handle'

export default handle(FixAnswer, ({ deps, actor }, { params, body }) =>
  fixAnswer(deps, actor, { ...params, ...body }),
)
