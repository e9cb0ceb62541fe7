import { ReleaseScores } from '#shared/contracts/evidence'
import { releaseScores } from '#usecases/evidence/releaseScores'
import { handle } from '../../../http/handle'

export default handle(ReleaseScores, ({ deps, actor }, { params, body }) =>
  releaseScores(deps, actor, { ...params, ...body }),
)
