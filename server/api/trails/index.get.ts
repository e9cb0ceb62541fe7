import { ShowTrailSettings } from '#shared/contracts/versions'
import { showTrailSettings } from '#usecases/teaching/trailSettings'
import { handle } from '../../http/handle'

export default handle(ShowTrailSettings, ({ deps, actor }) => showTrailSettings(deps, actor))
