import { ReleaseSeries } from '#shared/contracts/series'
import { releaseSeries } from '#usecases/series/releaseSeries'
import { handle } from '../../../http/handle'

export default handle(ReleaseSeries, ({ deps, actor }, { params, body }) =>
  releaseSeries(deps, actor, { ...params, ...body }),
)
