import { MakeSeries } from '#shared/contracts/series'
import { makeSeries } from '#usecases/series/keepSeries'
import { handle } from '../../http/handle'

export default handle(MakeSeries, ({ deps, actor }, { body }) => makeSeries(deps, actor, body))
