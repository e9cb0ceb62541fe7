import { GradeLearners } from '#shared/contracts/teaching'
import { gradeLearners } from '#usecases/teaching/gradeLearners'
import { handle } from '../../../http/handle'

export default handle(GradeLearners, ({ deps, actor }, { params, body }) =>
  gradeLearners(deps, actor, { ...params, ...body }),
)
