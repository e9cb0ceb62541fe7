import { ShowGuide } from '#shared/contracts/library'
import { showGuide } from '#usecases/library/guide'
import { handle } from '../../../http/handle'

export default handle(ShowGuide, ({ deps, actor }, { params }) => showGuide(deps, actor, params.resourceId))
