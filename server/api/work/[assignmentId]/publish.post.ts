import { PublishWork } from '#shared/contracts/work'
import { publishWork } from '#usecases/work/publishWork'
import { handle } from '../../../http/handle'

export default handle(PublishWork, ({ deps, actor }, { params, body }) =>
  publishWork(deps, actor, { ...params, ...body }),
)
