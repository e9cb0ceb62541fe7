import { DraftScore } from '#shared/contracts/evidence'
import { draftScore } from '#usecases/evidence/draftScore'
import { handle } from '../../../http/handle'

export default handle(DraftScore, ({ deps, actor }, { params, body }) =>
  draftScore(deps, actor, { ...params, ...body }),
)
