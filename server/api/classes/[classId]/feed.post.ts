import { ChangeFeed } from '#shared/contracts/pacing'
import { changeFeed } from '#usecases/pacing/files'
import { handle } from '../../../http/handle'

export default handle(ChangeFeed, ({ deps, actor }, { params, body }) =>
  changeFeed(deps, actor, { ...params, ...body }),
)
