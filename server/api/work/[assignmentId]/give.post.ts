import { GiveMore } from '#shared/contracts/work'
import { giveMore } from '#usecases/work/giveMore'
import { handle } from '../../../http/handle'

export default handle(GiveMore, ({ deps, actor }, { params, body }) =>
  giveMore(deps, actor, { ...params, ...body }),
)
