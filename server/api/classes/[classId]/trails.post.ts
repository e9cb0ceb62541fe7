import { SetTrails } from '#shared/contracts/versions'
import { setTrails } from '#usecases/evidence/trailSheet'
import { handle } from '../../../http/handle'

export default handle(SetTrails, ({ deps, actor }, { params, body }) =>
  setTrails(deps, actor, { ...params, ...body }),
)
