import { RemoveSeries } from '#shared/contracts/series'
import { removeSeries } from '#usecases/series/releaseSeries'
import { handle } from '../../../http/handle'

export default handle(RemoveSeries, ({ deps, actor }, { params, body }) =>
  removeSeries(deps, actor, { ...params, ...body }),
)
