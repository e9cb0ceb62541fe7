import { ShowStandard } from '#shared/contracts/library'
import { showStandard } from '#usecases/library/standards'
import { handle } from '../../http/handle'

export default handle(ShowStandard, ({ deps, actor }, { params }) => showStandard(deps, actor, params.code))
