import { ShowGrid } from '#shared/contracts/evidence'
import { showGrid } from '#usecases/evidence/evidence'
import { handle } from '../../http/handle'

export default handle(ShowGrid, ({ deps, actor }, { params }) => showGrid(deps, actor, params.classId))
