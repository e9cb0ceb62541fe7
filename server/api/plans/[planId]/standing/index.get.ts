import { ShowStanding } from '#shared/contracts/standing'
import { showStanding } from '#usecases/standing/showStanding'
import { handle } from '../../../../http/handle'

export default handle(ShowStanding, ({ deps, actor }, { params }) => showStanding(deps, actor, params))
