import { AnswerOffers } from '#shared/contracts/standing'
import { answerOffers } from '#usecases/standing/answerOffers'
import { handle } from '../../../http/handle'

export default handle(AnswerOffers, ({ deps, actor }, { params, body }) =>
  answerOffers(deps, actor, { ...params, ...body }),
)
