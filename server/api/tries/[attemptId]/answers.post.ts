import { SaveAnswers } from '#shared/contracts/learning'
import { saveAnswers } from '#usecases/learning/tries'
import { handle } from '../../../http/handle'

export default handle(SaveAnswers, ({ deps, actor }, { params, body }) =>
  saveAnswers(deps, actor, { ...params, ...body }),
)
