import { ListWork } from '#shared/contracts/work'
import { listWork } from '#usecases/work/listWork'
import { handle } from '../../http/handle'

export default handle(ListWork, ({ deps, actor }) => listWork(deps, actor))
