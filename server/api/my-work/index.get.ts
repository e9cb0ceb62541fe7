import { ListMyWork } from '#shared/contracts/myWork'
import { listMyWork } from '#usecases/learning/myWork'
import { handle } from '../../http/handle'

export default handle(ListMyWork, ({ deps, actor }) => listMyWork(deps, actor))
