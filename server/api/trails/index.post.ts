import { SetTrailSettings } from '#shared/contracts/versions'
import { setTrailSettings } from '#usecases/teaching/trailSettings'
import { handle } from '../../http/handle'

export default handle(SetTrailSettings, ({ deps, actor }, { body }) => setTrailSettings(deps, actor, body))
