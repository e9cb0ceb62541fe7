import { ChangeSeries } from '#shared/contracts/series'
import { changeSeries } from '#usecases/series/keepSeries'
import { handle } from '../../../http/handle'

export default handle(ChangeSeries, ({ deps, actor }, { params, body }) =>
  changeSeries(deps, actor, { ...params, ...body }),
)
