import { ShowRoutes } from '#shared/contracts/library'
import { showRoutes } from '#usecases/library/practiceRoutes'
import { handle } from '../../../http/handle'

export default handle(ShowRoutes, ({ deps, actor }, { params }) => showRoutes(deps, actor, params.classId))
