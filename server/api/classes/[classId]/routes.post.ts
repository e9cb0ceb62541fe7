import { SetRoute } from '#shared/contracts/library'
import { setRoute } from '#usecases/library/practiceRoutes'
import { handle } from '../../../http/handle'

export default handle(SetRoute, ({ deps, actor }, { params, body }) =>
  setRoute(deps, actor, { ...params, ...body }),
)
