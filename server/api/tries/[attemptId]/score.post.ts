import { ScoreAnswer } from '#shared/contracts/evidence'
import { scoreAnswer } from '#usecases/evidence/scoring'
import { handle } from '../../../http/handle'

export default handle(ScoreAnswer, ({ deps, actor }, { params, body }) =>
  scoreAnswer(deps, actor, { ...params, ...body }),
)
