import { CheckPractice } from '#shared/contracts/practice'
import { checkPractice } from '#usecases/learning/practice'
import { handle } from '../../http/handle'

export default handle(CheckPractice, ({ deps, actor }, { params, body }) =>
  checkPractice(deps, actor, { ...params, ...body }),
)
