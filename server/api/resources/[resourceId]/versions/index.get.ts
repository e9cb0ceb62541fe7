import { ShowVersions } from '#shared/contracts/versions'
import { showVersions } from '#usecases/library/versions'
import { handle } from '../../../../http/handle'

export default handle(ShowVersions, ({ deps, actor }, { params }) =>
  showVersions(deps, actor, params.resourceId),
)
