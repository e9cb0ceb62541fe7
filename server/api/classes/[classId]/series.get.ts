import { ShowSeries } from '#shared/contracts/series'
import { showSeries } from '#usecases/series/showSeries'
import { handle } from '../../../http/handle'

export default handle(ShowSeries, ({ deps, actor }, { params }) => showSeries(deps, actor, params))
