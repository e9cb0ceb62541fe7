import { ShowTrailSheet } from '#shared/contracts/versions'
import { showTrailSheet } from '#usecases/evidence/trailSheet'
import { handle } from '../../../http/handle'

export default handle(ShowTrailSheet, ({ deps, actor }, { params }) =>
  showTrailSheet(deps, actor, params.classId),
)
