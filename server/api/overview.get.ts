import { ShowOverview } from '#shared/contracts/teaching'
import { showOverview } from '#usecases/teaching/showOverview'
import { handle } from '../http/handle'

export default handle(ShowOverview, ({ deps, actor }) => showOverview(deps, actor))
