import { ClearSeries } from '#shared/contracts/series'
import { clearSeries } from '#usecases/series/releaseSeries'
import { handle } from '../../../http/handle'

export default handle(ClearSeries, ({ deps, actor }, { params, body }) =>
  clearSeries(deps, actor, { ...params, ...body }),
)
