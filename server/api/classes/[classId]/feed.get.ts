import { ShowFeed } from '#shared/contracts/pacing'
import { showFeed } from '#usecases/pacing/files'
import { handle } from '../../../http/handle'

export default handle(ShowFeed, ({ deps, actor }, { params }) => showFeed(deps, actor, params.classId))
