import { ShowWork } from '#shared/contracts/work'
import { showWork } from '#usecases/work/showWork'
import { handle } from '../../../http/handle'

export default handle(ShowWork, ({ deps, actor }, { params }) => showWork(deps, actor, params.assignmentId))
