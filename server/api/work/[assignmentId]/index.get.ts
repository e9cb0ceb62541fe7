import { ShowWork } from '#shared/contracts/work'
import { showWork } from '#usecases/work/listWork'
import { handle } from '../../../http/handle'

export default handle(ShowWork, ({ deps, actor }, { params }) => showWork(deps, actor, params.assignmentId))
